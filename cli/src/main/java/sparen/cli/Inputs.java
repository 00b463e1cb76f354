package sparen.cli;

import java.io.IOException;
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
import sparen.format.LoggerFile;
import sparen.format.LoggerReader;
import sparen.format.Profile;
import sparen.format.ProfileReader;
import sparen.format.WeatherFile;
import sparen.format.WeatherReader;
import sparen.program.Plan;
import sparen.table.BadLine;
import sparen.table.Detection;
import sparen.table.Encoding;
import sparen.table.FileKind;
import sparen.table.Layout;

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
    static Map<String, Profile> profiles(List<String> given, Layout layout, Plan plan) throws BadInput {
        Set<String> named = plan.site().profiles();
        Map<String, Profile> profiles = new HashMap<>();
        for (String one : given) {
            int equals = one.indexOf('=');
            if (equals < 0 && named.isEmpty()) {
                throw new BadInput("--profile " + one + ": no load of the document takes an imported profile", null);
            }
            Profile profile = profile(Path.of(one.substring(equals + 1)), plan, layout);
            if (equals < 0) {
                named.forEach(id -> profiles.put(id, profile));
            } else {
                profiles.put(one.substring(0, equals), profile);
            }
        }
        return profiles;
    }

    private static Profile profile(Path file, Plan plan, Layout layout) throws BadInput {
        String text = text(file);
        ZoneId zone = plan.site().location().zone();
        ProfileReader.Reading reading =
                layout == null ? ProfileReader.read(text, zone) : ProfileReader.read(text, layout, zone);
        return reading.profile().orElseThrow(() -> refused(file, reading.badLineCount(), reading.badLines()));
    }

    /** A weather file, as it is laid out or found to be. */
    static WeatherFile weather(Path file, Layout layout, ZoneId zone) throws BadInput {
        String text = text(file);
        WeatherReader.Reading reading = WeatherReader.read(
                text, layout == null ? Detection.of(text, FileKind.WEATHER).layout() : layout, zone);
        return reading.weather().orElseThrow(() -> refused(file, reading.badLineCount(), reading.badLines()));
    }

    /** A logger's file, as it is laid out or found to be. */
    static LoggerFile log(Path file, Layout layout, ZoneId zone) throws BadInput {
        String text = text(file);
        LoggerReader.Reading reading = LoggerReader.read(
                text, layout == null ? Detection.of(text, FileKind.LOGGER).layout() : layout, zone);
        return reading.log().orElseThrow(() -> refused(file, reading.badLineCount(), reading.badLines()));
    }

    /** How a file is laid out; null where nobody has said. */
    static Layout layout(Path file) throws BadInput {
        return file == null ? null : read(file, Layout.class);
    }

    private static BadInput refused(Path file, int count, List<BadLine> badLines) {
        StringBuilder message = new StringBuilder(file + ": " + count + " bad lines, nothing is taken");
        badLines.forEach(bad ->
                message.append("\n  line ").append(bad.line()).append(": ").append(bad.reason()));
        return new BadInput(message.toString(), null);
    }

    /** What stands in a file, in any of the usual encodings; "-" is what comes in. */
    static String text(Path file) throws BadInput {
        try {
            return Encoding.text(file.toString().equals("-") ? System.in.readAllBytes() : Files.readAllBytes(file));
        } catch (IOException unreadable) {
            throw unreadable(file, unreadable);
        }
    }

    private static BadInput unreadable(Path file, IOException cause) {
        if (cause instanceof NoSuchFileException) {
            return new BadInput(file + ": there is no such file", cause);
        }
        return new BadInput(file + ": cannot be read: " + cause.getMessage(), cause);
    }
}
