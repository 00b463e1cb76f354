package sparen.cli;

import picocli.CommandLine;
import picocli.CommandLine.Command;

/** Entry point of {@code ./sparen}. */
@Command(
        name = "sparen",
        mixinStandardHelpOptions = true,
        subcommands = {SimulateCommand.class, CheckCommand.class, BenchCommand.class},
        description = "Simulates and checks the programs of off-grid sites. Results are simulated, no proof of safety.")
public final class Sparen {
    private Sparen() {}

    public static void main(String[] arguments) {
        System.exit(run(arguments));
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
