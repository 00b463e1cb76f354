package sparen.cli;

import java.nio.file.Path;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import sparen.format.LoggerFile;
import sparen.program.Plan;

/** A plan document and what a logger recorded at its site. */
final class LogInput {
    @Parameters(index = "0", paramLabel = "DOCUMENT.json", description = "a plan document; - for what comes in")
    private Path document;

    @Parameters(index = "1", paramLabel = "LOG.csv", description = "what a logger recorded")
    private Path file;

    @Option(
            names = "--layout",
            paramLabel = "FILE",
            description = "how it is laid out (JSON, see sparen layout), where it is not found out right")
    private Path layout;

    Plan plan() throws BadInput {
        return Inputs.plan(document);
    }

    LoggerFile log(Plan plan) throws BadInput {
        return Inputs.log(file, Inputs.layout(layout), plan.site().location().zone());
    }
}
