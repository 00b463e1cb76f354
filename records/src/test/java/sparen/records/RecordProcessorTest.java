package sparen.records;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.io.IOException;
import java.io.StringWriter;
import java.net.URL;
import java.net.URLClassLoader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import javax.tools.JavaCompiler;
import javax.tools.StandardJavaFileManager;
import javax.tools.ToolProvider;
import org.testng.annotations.Test;

/** Compiles a little module with the processor and uses what it wrote, as code that was compiled with it would. */
public class RecordProcessorTest {
    /** The interface and the record the tables are made of, as core has them. */
    private static final Map<String, String> CORE = Map.of(
            "sparen/quantity/RecordTypes.java",
            "package sparen.quantity; public interface RecordTypes { java.util.List<RecordType> all(); }",
            "sparen/quantity/RecordType.java",
            "package sparen.quantity; import java.util.*; import java.util.function.*;"
                    + " public record RecordType(Class<? extends Record> type, List<Class<?>> kindOf, List<String> names,"
                    + " List<Shape> shapes, Function<Record, Object[]> values, Function<Object[], Record> make) {}",
            "sparen/quantity/Shape.java",
            "package sparen.quantity; public interface Shape { record Whole(Class<?> type) implements Shape {}"
                    + " record Maybe(Shape of) implements Shape {} record Many(Shape of) implements Shape {}"
                    + " record Named(Class<?> key, Shape of) implements Shape {} }");

    private static final String BOX =
            """
            package shed;
            import java.util.*;
            public record Box(String name, int sides, Optional<Double> metres, List<Lid> lids, Map<String, List<Double>> marks)
                    implements BoxWith {
                public sealed interface Thing {}
                public Box { if (sides < 1) throw new IllegalArgumentException("sides " + sides); }
                public record Lid(double volts) implements Thing {}
                private record Hidden(int a) {}
                public static String tried() {
                    Box box = new BoxBuilder().name("a").sides(6).build();
                    return box.withSides(4) + " " + box.withLids(List.of(new Lid(1))).lids();
                }
            }
            """;

    @Test
    public void whatItWritesCompilesAndDoesWhatItSays() throws Exception {
        Path folder = Files.createTempDirectory("records");
        assertEquals(compile(folder, BOX), "");
        try (URLClassLoader made = new URLClassLoader(new URL[] {folder.toUri().toURL()}, null)) {
            Class<?> box = made.loadClass("shed.Box");
            assertEquals(
                    box.getMethod("tried").invoke(null),
                    "Box[name=a, sides=4, metres=Optional.empty, lids=[], marks={}] [Lid[volts=1.0]]",
                    "what is not given is an empty optional, list or map");
            Object table = made.loadClass("shed.Table").getConstructor().newInstance();
            List<?> all = (List<?>) table.getClass().getMethod("all").invoke(table);
            String told = all.toString();
            assertTrue(told.contains("shed.Box, kindOf=[], names=[name, sides, metres, lids, marks],"), told);
            assertTrue(
                    told.contains(
                            "Maybe[of=Whole[type=class java.lang.Double]], Many[of=Whole[type=class shed.Box$Lid]]"),
                    told);
            assertTrue(
                    told.contains("Named[key=class java.lang.String, of=Many[of=Whole[type=class java.lang.Double]]]"),
                    told);
            assertTrue(told.contains("shed.Box$Lid, kindOf=[interface shed.Box$Thing], names=[volts]"), told);
            assertFalse(told.contains("Hidden"), "nobody could reach it: " + told);
        }
        assertEquals(
                Files.readString(folder.resolve("META-INF/services/sparen.quantity.RecordTypes")),
                "shed.Table\n",
                "found as a service");
    }

    @Test
    public void aRenamedComponentIsTheCompilersWork() throws Exception {
        String errors = compile(Files.createTempDirectory("records"), BOX.replace("int sides, ", "int faces, "));
        assertTrue(errors.contains("withSides"), errors);
    }

    private static String compile(Path folder, String box) throws IOException {
        Files.createDirectories(folder.resolve("shed"));
        Files.writeString(folder.resolve("shed/Box.java"), box);
        for (Map.Entry<String, String> one : CORE.entrySet()) {
            Files.createDirectories(folder.resolve(one.getKey()).getParent());
            Files.writeString(folder.resolve(one.getKey()), one.getValue());
        }
        JavaCompiler compiler = ToolProvider.getSystemJavaCompiler();
        StringWriter errors = new StringWriter();
        try (StandardJavaFileManager files = compiler.getStandardFileManager(null, null, null)) {
            List<Path> sources = List.of(
                    folder.resolve("shed/Box.java"),
                    folder.resolve("sparen/quantity/RecordType.java"),
                    folder.resolve("sparen/quantity/RecordTypes.java"),
                    folder.resolve("sparen/quantity/Shape.java"));
            List<String> options = List.of("-d", folder.toString(), "-Arecords=shed.Table", "-Xlint:-options");
            JavaCompiler.CompilationTask task =
                    compiler.getTask(errors, files, null, options, null, files.getJavaFileObjectsFromPaths(sources));
            task.setProcessors(List.of(new RecordProcessor()));
            boolean fine = task.call();
            return fine ? "" : errors.toString();
        }
    }
}
