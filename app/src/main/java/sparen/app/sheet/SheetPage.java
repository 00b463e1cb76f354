package sparen.app.sheet;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.apache.commons.codec.digest.DigestUtils;
import org.springframework.web.util.HtmlUtils;
import sparen.device.FittedDevice;
import sparen.gauge.Gauge;
import sparen.handover.SettingsSheet;
import sparen.handover.SettingsSheet.Line;
import sparen.handover.SettingsSheet.Wired;
import sparen.program.Plan;

/** A settings sheet as a page. */
record SheetPage(Plan plan, FittedDevice device, SettingsSheet sheet, int revision, Instant savedAt) {
    private static final String STYLE = read("/sheet/sheet.css");
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM yyyy", Locale.UK);
    /** When a level acts, as on the screen. */
    private static final Map<Gauge.Acts, String> SIGNS =
            Map.of(Gauge.Acts.FALLING, "▼", Gauge.Acts.RISING, "▲", Gauge.Acts.HELD, "■");
    /** So far to the right the highest mark stands (%). */
    private static final int MOST_LEFT = 97;

    private static final int GROUP = 4;
    private static final int SHOWN_GROUPS = 4;

    private static String read(String resource) {
        try (InputStream bytes = SheetPage.class.getResourceAsStream(resource)) {
            return new String(bytes.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException missing) {
            throw new UncheckedIOException(missing);
        }
    }

    String html() {
        String day = DAY.format(savedAt.atZone(plan.site().location().zone()));
        String foot = "%s, revision %d of %s, settings %s"
                .formatted(
                        plan.site().name(),
                        revision,
                        day,
                        grouped(DigestUtils.sha256Hex(SettingsSheet.entered(plan, device))));
        return "<html lang=\"en\"><head><title>" + text(device.name() + ", " + foot) + "</title><style>" + STYLE
                + "@page { @bottom-left { font: 8pt 'Liberation Sans'; content: '"
                + text(foot.replace("\\", "").replace("'", "’"))
                + "'; } }</style></head><body>"
                + "<h1>" + text(device.name()) + "</h1>"
                + tag("p", foot)
                + tag("p", kind())
                + cautions()
                + table()
                + tag("h2", "Saving")
                + tag(
                        "p",
                        "Save: " + device.profile().saving() + ". Seen by: "
                                + device.profile().showing() + "."
                                + device.profile()
                                        .dropping()
                                        .map(what -> " While it saves: " + what + ".")
                                        .orElse(""))
                + list("What it does", sheet.sentences())
                + gauge()
                + sketch()
                + "<table class=\"sign\"><tr><td>entered by</td><td>on</td><td>read back by</td><td>on</td></tr></table>"
                + tag(
                        "p",
                        "What the program does is simulated and no proof of safety. Work on batteries, arrays and AC"
                                + " circuits follows local code and licensed practice.")
                + "</body></html>";
    }

    private String kind() {
        return device.profile().name()
                + device.serial().map(serial -> ", serial number " + serial).orElse("")
                + device.firmware().map(version -> ", firmware " + version).orElse("");
    }

    private String cautions() {
        List<String> cautions = sheet.lines().stream()
                .flatMap(line -> line.caution().map(says -> line.label() + ": " + says).stream())
                .toList();
        return list("Caution", cautions);
    }

    /** The device, its contacts as they are at rest, and what hangs on each. */
    private String sketch() {
        List<Wired> contacts = sheet.wiring();
        StringBuilder rows = new StringBuilder();
        for (int i = 0; i < contacts.size(); i++) {
            Wired contact = contacts.get(i);
            rows.append("<tr>")
                    .append(
                            i == 0
                                    ? "<td class=\"part\" rowspan=\"" + contacts.size() + "\">" + text(device.name())
                                            + "</td>"
                                    : "")
                    .append("<td class=\"line\">")
                    .append(ContactDrawer.object(contact.closedAtRest()))
                    .append("</td><td>")
                    .append(text(contact.output()))
                    .append("</td><td class=\"line\">―</td><td class=\"part\">")
                    .append(text(contact.loads().isEmpty() ? "a signal" : String.join(", ", contact.loads())))
                    .append("</td></tr>");
        }
        return contacts.isEmpty()
                ? ""
                : tag("h2", "What hangs on it, contacts at rest") + "<table class=\"sketch\">" + rows + "</table>";
    }

    /** Each level a mark on one scale, as on the axis of the screen. */
    private String gauge() {
        String rows = sheet.levels().stream()
                .map(level -> "<tr><td class=\"n enter\">" + text(level.at()) + "</td><td>" + SIGNS.get(level.acts())
                        + " "
                        + text(level.what()) + "</td><td class=\"track\"><div class=\"mark\" style=\"margin-left: "
                        + Math.round(MOST_LEFT * level.share()) + "%\"></div></td></tr>")
                .collect(Collectors.joining());
        return rows.isEmpty()
                ? ""
                : tag("h2", "Levels, the highest first") + "<table class=\"gauge\">" + rows + "</table>";
    }

    private String table() {
        boolean hasMenu = sheet.lines().stream().anyMatch(line -> line.menu().isPresent());
        String rows = sheet.lines().stream().map(line -> row(line, hasMenu)).collect(Collectors.joining());
        return "<table><thead><tr>" + (hasMenu ? "<th>menu</th>" : "")
                + "<th>setting</th><th class=\"n\">as it comes</th><th class=\"n\">enter</th>"
                + "<th>remark</th><th>done</th></tr></thead><tbody>" + rows + "</tbody></table>";
    }

    private static String row(Line line, boolean hasMenu) {
        String part = line.begins()
                .map(name -> "<tr><th colspan=\"6\">" + text(name) + "</th></tr>")
                .orElse("");
        return part + "<tr>" + (hasMenu ? "<td class=\"n\">" + text(line.menu().orElse("")) + "</td>" : "") + "<td>"
                + text(line.label())
                + "</td><td class=\"n soft\">" + text(line.factory().orElse("")) + "</td><td class=\"n enter\">"
                + text(line.enter()) + "</td><td>" + text(line.remark()) + "</td><td class=\"box\"></td></tr>";
    }

    private static String list(String title, List<String> lines) {
        return lines.isEmpty()
                ? ""
                : tag("h2", title)
                        + lines.stream().map(line -> tag("li", line)).collect(Collectors.joining("", "<ul>", "</ul>"));
    }

    private static String tag(String name, String says) {
        return "<" + name + ">" + text(says) + "</" + name + ">";
    }

    private static String text(String says) {
        return HtmlUtils.htmlEscape(says, StandardCharsets.UTF_8.name());
    }

    /** So that it can be compared by eye. */
    private static String grouped(String checksum) {
        return IntStream.range(0, SHOWN_GROUPS)
                .mapToObj(i -> checksum.substring(i * GROUP, (i + 1) * GROUP))
                .collect(Collectors.joining(" "));
    }
}
