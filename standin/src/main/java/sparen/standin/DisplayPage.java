package sparen.standin;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.Map;

/** The displays of the devices, as somebody standing before them sees them, and a switch for each of their faults: one page. */
final class DisplayPage implements AutoCloseable {
    private final Site site;
    private final HttpServer server;

    DisplayPage(Site site, int port) throws IOException {
        this.site = site;
        server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), port), 0);
        server.createContext("/", this::answer);
        server.start();
    }

    @Override
    public void close() {
        server.stop(0);
    }

    private void answer(HttpExchange exchange) throws IOException {
        if (exchange.getRequestMethod().equals("POST")) {
            turn(new String(exchange.getRequestBody().readAllBytes(), StandardCharsets.UTF_8));
            exchange.getResponseHeaders().set("Location", "/");
            exchange.sendResponseHeaders(303, -1);
            exchange.close();
            return;
        }
        byte[] page = page().getBytes(StandardCharsets.UTF_8);
        exchange.getResponseHeaders().set("Content-Type", "text/html; charset=utf-8");
        exchange.sendResponseHeaders(200, page.length);
        exchange.getResponseBody().write(page);
        exchange.close();
    }

    /** Turns a fault on or off, as in {@code 1.ROUNDS}: unit and fault. */
    private void turn(String form) {
        String[] said = form.replaceFirst("^turn=", "").split("\\.");
        for (int unit = 1; unit <= site.devices().size(); unit++) {
            for (Fault fault : Fault.values()) {
                if (said.length == 2 && said[0].equals(String.valueOf(unit)) && said[1].equals(fault.name())) {
                    site.turn(unit, fault);
                }
            }
        }
    }

    private String page() {
        SiteModel.Moment now = site.model().now();
        StringBuilder page = new StringBuilder(1024);
        page.append("<!doctype html><html lang=\"en\"><meta charset=\"utf-8\"><title>Device stand-in</title>")
                .append(
                        "<style>body{font:1.1rem/1.5 sans-serif;margin:2rem;max-width:60rem}dl{columns:2}dt{float:left;")
                .append(
                        "clear:left;margin-right:1rem}dd{font-weight:700;margin:0}button{font:inherit;padding:.5rem;margin:.2rem}")
                .append("button[aria-pressed=true]{background:#000;color:#fff}</style><h1>Device stand-in</h1>")
                .append("<p>Simulated. At the site it is ")
                .append(site.model().instant())
                .append(String.format(
                        Locale.ROOT,
                        ", the meter shows <b>%.2f V</b> and <b>%.1f A</b> into the battery, which is at %.1f %%.",
                        now.batteryVolts(),
                        now.batteryAmperes(),
                        now.stateOfCharge() * 100))
                .append(" The password of a device that wants one is ")
                .append(Device.PASSWORD)
                .append(".</p>");
        int unit = 0;
        for (Device device : site.devices()) {
            unit++;
            page.append("<h2>Unit ")
                    .append(unit)
                    .append(": ")
                    .append(escaped(device.fitted().name()))
                    .append("</h2><dl>");
            for (Map.Entry<String, String> shown : device.display().entrySet()) {
                page.append("<dt>")
                        .append(escaped(device.label(shown.getKey())))
                        .append("</dt><dd>")
                        .append(escaped((shown.getValue() + " " + device.unit(shown.getKey())).strip()))
                        .append("</dd>");
            }
            page.append("</dl><form method=\"post\">");
            for (Fault fault : Fault.values()) {
                page.append("<button name=\"turn\" value=\"")
                        .append(unit)
                        .append('.')
                        .append(fault)
                        .append("\" aria-pressed=\"")
                        .append(device.faults().contains(fault))
                        .append("\">")
                        .append(fault.name().toLowerCase(Locale.ROOT).replace('_', ' '))
                        .append("</button>");
            }
            page.append("</form>");
        }
        return page.append("</html>").toString();
    }

    private static String escaped(String text) {
        return text.replace("&", "&amp;").replace("<", "&lt;").replace("\"", "&quot;");
    }
}
