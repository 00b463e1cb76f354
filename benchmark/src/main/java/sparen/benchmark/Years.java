package sparen.benchmark;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import sparen.document.DocumentProblem;
import sparen.document.Documents;
import sparen.program.Plan;
import sparen.simulation.Scenario;
import sparen.sun.Climate;
import sparen.sun.WeatherGenerator;

/** The demo sites over a year of one-minute inputs. */
final class Years {
    static final List<String> SITES = List.of("hallgrund", "kvarno", "skarvholm");
    private static final int DAYS = 365;

    private Years() {}

    static Plan plan(String site) {
        try {
            return Documents.read(Files.readString(Path.of("demo", site + ".json")))
                    .plan();
        } catch (IOException | DocumentProblem broken) {
            throw new IllegalStateException("run from the project's folder: demo/" + site + ".json", broken);
        }
    }

    static Scenario of(String site) {
        return of(plan(site), 1);
    }

    static Scenario of(Plan plan, int years) {
        var location = plan.site().location();
        Instant start = Instant.parse("2026-01-01T00:00:00Z");
        Climate climate = Climate.atLatitude(location.latitudeDegrees());
        return new Scenario(
                plan,
                start,
                years * DAYS * 86_400.0,
                WeatherGenerator.generate(location, start, years * DAYS * 1440, climate, 1),
                Map.of(),
                1,
                List.of());
    }
}
