package sparen.app;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.io.IOException;
import java.net.InetAddress;
import java.net.Socket;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.stream.IntStream;
import org.testng.annotations.Test;
import tools.jackson.databind.node.ObjectNode;

/** Whoever asks for much, or never ends asking, leaves room for the others. */
public class ManyAtOnceTest extends OverHttp {
    /** Three hundred requests from one address that say they have a body and never send it take nothing from those at another. */
    @Test
    public void halfSentBodiesKeepNobodyOut() throws Exception {
        List<Socket> halves = new ArrayList<>();
        try {
            for (int i = 0; i < 300; i++) {
                halves.add(half());
            }
            Browser liv = signedIn("liv");
            assertEquals(liv.get("/api/sites").statusCode(), 200);
        } finally {
            for (Socket half : halves) {
                half.close();
            }
        }
    }

    /** Begins a sign-in with a token against forgery that fits, and leaves its body half. */
    private Socket half() throws IOException {
        Socket socket = new Socket(InetAddress.getByName("127.0.0.1"), port, InetAddress.getByName("127.0.0.2"), 0);
        socket.getOutputStream()
                .write(("POST /api/session HTTP/1.1\r\nHost: localhost\r\nContent-Type: application/json\r\n"
                                + "Authorization: Bearer sparen_none\r\nContent-Length: 1000\r\n\r\n{\"name\":\"")
                        .getBytes(StandardCharsets.US_ASCII));
        return socket;
    }

    /** Of 120 things at once an account has some refused; all that are taken are worked out, and another account's too. */
    @Test
    public void oneAccountDoesNotTakeAllTurns() throws Exception {
        Browser liv = signedIn("liv");
        Browser odd = signedIn("odd");
        ObjectNode loaded = latest(liv);
        ExecutorService atOnce = Executors.newFixedThreadPool(120);
        List<CompletableFuture<HttpResponse<String>>> greedy = IntStream.range(0, 120)
                .mapToObj(i -> CompletableFuture.supplyAsync(() -> reading(liv, loaded), atOnce))
                .toList();
        assertEquals(reading(odd, loaded).statusCode(), 200);
        List<Integer> answers = greedy.stream()
                .map(CompletableFuture::join)
                .map(HttpResponse::statusCode)
                .toList();
        atOnce.shutdown();
        assertTrue(answers.stream().filter(status -> status == 200).count() >= 60, answers.toString());
        assertTrue(answers.stream().allMatch(status -> status == 200 || status == 429), answers.toString());
        assertEquals(reading(liv, loaded).statusCode(), 200, "no turn is left taken");
    }

    private static HttpResponse<String> reading(Browser who, ObjectNode loaded) {
        try {
            return who.post("/api/reading/hallgrund", loaded.get("plan"));
        } catch (Exception broken) {
            throw new IllegalStateException(broken);
        }
    }
}
