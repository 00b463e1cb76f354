package sparen.standin;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.concurrent.Callable;
import java.util.concurrent.CountDownLatch;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import sparen.document.DocumentProblem;
import sparen.document.Documents;
import sparen.quantity.Bounds;

/** Entry point of the device stand-in. */
@Command(
        name = "standin",
        mixinStandardHelpOptions = true,
        description = "Stands in for the devices of a site that have a wire, until it is ended. Simulated.")
public final class StandIn implements Callable<Integer> {
    @Option(names = "--plan", required = true, paramLabel = "FILE", description = "plan document with devices")
    private Path plan;

    @Option(
            names = "--memory",
            required = true,
            paramLabel = "DIR",
            description = "where the devices keep their memory")
    private Path memory;

    @Option(names = "--port", description = "Modbus TCP, on loopback (default ${DEFAULT-VALUE})")
    private int port = 5020;

    @Option(names = "--display", paramLabel = "PORT", description = "page of the displays (default ${DEFAULT-VALUE})")
    private int display = 8351;

    @Option(names = "--times", description = "how much faster time goes, 1 to 3600 (default ${DEFAULT-VALUE})")
    private double times = 60;

    private StandIn() {}

    public static void main(String[] arguments) {
        System.exit(new CommandLine(new StandIn()).execute(arguments));
    }

    @Override
    public Integer call() throws IOException, DocumentProblem, InterruptedException {
        Bounds.within("--times", times, "×", 1, 3600);
        Files.createDirectories(memory);
        try (Site site = new Site(
                        Documents.read(Files.readString(plan)).plan(), memory, port, times, Clock.systemUTC());
                DisplayPage page = new DisplayPage(site, display)) {
            System.out.println("standing in for " + site.devices().size() + " devices");
            new CountDownLatch(1).await();
        }
        return 0;
    }
}
