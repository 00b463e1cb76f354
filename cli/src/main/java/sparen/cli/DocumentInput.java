package sparen.cli;

import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import sparen.format.Profile;
import sparen.program.Plan;

/** What every command reads: a plan document and the profiles its loads take. */
final class DocumentInput {
    @Parameters(paramLabel = "DOCUMENT.json", description = "a plan document, see docs/schema; - for what comes in")
    private Path document;

    @Option(
            names = "--profile",
            paramLabel = "[ID=]FILE",
            description = "consumption profile (CSV) for the loads that take an imported one")
    private List<String> profiles = List.of();

    @Option(
            names = "--profile-layout",
            paramLabel = "FILE",
            description = "how the profiles are laid out (JSON, see sparen layout), where it is not found out right")
    private Path profileLayout;

    Plan plan() throws BadInput {
        return Inputs.plan(document);
    }

    Map<String, Profile> profiles(Plan plan) throws BadInput {
        return Inputs.profiles(profiles, Inputs.layout(profileLayout), plan);
    }
}
