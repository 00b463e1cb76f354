package sparen.cli;

import picocli.CommandLine;
import picocli.CommandLine.Command;

/** Entry point of {@code ./sparen}. */
@Command(
        name = "sparen",
        mixinStandardHelpOptions = true,
        subcommands = {
            SimulateCommand.class,
            CheckCommand.class,
            BenchCommand.class,
            LayoutCommand.class,
            ReplayCommand.class,
            FitCommand.class
        },
        versionProvider = Sparen.Version.class,
        exitCodeListHeading = "Exit codes:%n",
        exitCodeList = {
            "0:done",
            "1:an input cannot be taken; what and why is told",
            "2:the command was not written as it is meant",
            "3:check found what --fail-on asks for"
        },
        description = "Simulates and checks the programs of off-grid sites. Results are simulated, no proof of safety.")
public final class Sparen {
    private Sparen() {}

    public static void main(String[] arguments) {
        System.exit(run(arguments));
    }

    /** What this is, as it was built. */
    static final class Version implements CommandLine.IVersionProvider {
        @Override
        public String[] getVersion() {
            String built = Sparen.class.getPackage().getImplementationVersion();
            return new String[] {"sparen " + (built == null ? "as it stands in the sources" : built)};
        }
    }

    /** Runs a command and returns its exit code. */
    static int run(String... arguments) {
        return new CommandLine(new Sparen())
                .setCaseInsensitiveEnumValuesAllowed(true)
                .setExecutionExceptionHandler((thrown, line, parsed) -> {
                    if (thrown instanceof BadInput) {
                        line.getErr().println("sparen: " + thrown.getMessage());
                        return CommandLine.ExitCode.SOFTWARE;
                    }
                    throw thrown;
                })
                .execute(arguments);
    }
}
