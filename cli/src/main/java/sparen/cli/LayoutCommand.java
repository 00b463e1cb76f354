package sparen.cli;

import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;
import sparen.document.Documents;
import sparen.table.Detection;
import sparen.table.FileKind;

/** Prints how a file seems to be laid out. */
@Command(
        name = "layout",
        mixinStandardHelpOptions = true,
        description =
                "Prints as JSON how a table seems to be laid out. Changed by hand and given as --layout, --weather-layout or"
                        + " --profile-layout it is read that way; what is in doubt is told on the error output.")
final class LayoutCommand implements Callable<Integer> {
    @Parameters(paramLabel = "FILE", description = "a table; - for what comes in")
    private Path file;

    @Option(names = "--kind", required = true, description = "what it is: ${COMPLETION-CANDIDATES}")
    private FileKind kind;

    @Spec
    private CommandSpec spec;

    @Override
    public Integer call() throws BadInput {
        Detection found = Detection.of(Inputs.text(file), kind);
        found.notes().forEach(note -> spec.commandLine().getErr().println("sparen: " + note));
        spec.commandLine().getOut().println(Documents.writeAny(found.layout()));
        return 0;
    }
}
