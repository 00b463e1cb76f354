package sparen.cli;

import java.io.IOException;
import java.io.Reader;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import sparen.bench.BenchScript;
import sparen.document.DocumentProblem;
import sparen.document.Documents;
import sparen.document.PlanDocument;
import sparen.format.Profile;
import sparen.format.ProfileReader;
import sparen.format.WeatherFile;
import sparen.format.WeatherReader;
import sparen.program.Plan;

/** Reads the files a command is given. */
final class Inputs {
    private Inputs() {}

    static Plan plan(Path file) throws BadInput {
        return read(file, PlanDocument.class).plan();
    }

    /** A script of the bench. */
    static BenchScript script(Path file) throws BadInput {
        return read(file, BenchScript.class);
    }

    private static <T> T read(Path file, Class<T> type) throws BadInput {
        try {
            return Documents.readAny(text(file), type);
        } catch (DocumentProblem problem) {
            throw new BadInput(file + ": at " + place(problem) + ": " + problem.getMessage(), problem);
        }
    }

    private static String place(DocumentProblem problem) {
        return problem.pointer().isEmpty() ? "the whole document" : problem.pointer();
    }

    /** Gives each "[ID=]FILE" to the profile id it names, or to every profile the plan's loads name. */
    static Map<String, Profile> profiles(List<String> given, Plan plan) throws BadInput {
        Set<String> named = plan.site().profiles();
        Map<String, Profile> profiles = new HashMap<>();
        for (String one : given) {
            int equals = one.indexOf('=');
            if (equals < 0 && named.isEmpty()) {
                throw new BadInput("--profile " + one + ": no load of the document takes an imported profile", null);
            }
            Profile profile = profile(Path.of(one.substring(equals + 1)), plan);
            if (equals < 0) {
                named.forEach(id -> profiles.put(id, profile));
            } else {
                profiles.put(one.substring(0, equals), profile);
            }
        }
        return profiles;
    }

    private static Profile profile(Path file, Plan plan) throws BadInput {
        ProfileReader.Reading reading =
                ProfileReader.read(text(file), plan.site().location().zone());
        return reading.profile().orElseThrow(() -> refused(file, reading.badLineCount(), reading.badLines()));
    }

    /** A weather file; read line by line, for it may be large. */
    static WeatherFile weather(Path file, ZoneId zone) throws BadInput {
        try (Reader reader = Files.newBufferedReader(file, StandardCharsets.UTF_8)) {
            WeatherReader.Reading reading = WeatherReader.read(reader, zone);
            return reading.weather().orElseThrow(() -> refused(file, reading.badLineCount(), reading.badLines()));
        } catch (IOException unreadable) {
            throw unreadable(file, unreadable);
        }
    }

    private static BadInput refused(Path file, int count, List<ProfileReader.BadLine> badLines) {
        StringBuilder message = new StringBuilder(file + ": " + count + " bad lines, nothing is taken");
        badLines.forEach(bad ->
                message.append("\n  line ").append(bad.line()).append(": ").append(bad.reason()));
        return new BadInput(message.toString(), null);
    }

    private static String text(Path file) throws BadInput {
        try {
            return Files.readString(file, StandardCharsets.UTF_8);
        } catch (IOException unreadable) {
            throw unreadable(file, unreadable);
        }
    }

    private static BadInput unreadable(Path file, IOException cause) {
        if (cause instanceof NoSuchFileException) {
            return new BadInput(file + ": there is no such file", cause);
        }
        return cause instanceof CharacterCodingException
                ? new BadInput(file + ": not a text file in UTF-8", cause)
                : new BadInput(file + ": cannot be read: " + cause.getMessage(), cause);
    }
}
