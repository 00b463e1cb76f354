package sparen.architecture;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import com.sun.source.tree.CompilationUnitTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.util.JavacTask;
import com.sun.source.util.SourcePositions;
import com.sun.source.util.TreeScanner;
import com.sun.source.util.Trees;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;
import javax.tools.JavaCompiler;
import javax.tools.StandardJavaFileManager;
import javax.tools.ToolProvider;
import org.testng.annotations.Test;

/**
 * How long what ships may be: a file of Java or TypeScript 300 lines, a component of the interface 150, a method 25 but for a few in a
 * hundred. The exceptions are named, at most eight, and their list only shrinks; the share only grows.
 */
public class CeilingsTest {
    private static final Path HOUSE = Path.of("..");
    private static final Path JAVA = Path.of("src", "main", "java");
    private static final int LINES = 300;
    private static final int LINES_OF_A_COMPONENT = 150;
    private static final int LINES_OF_A_METHOD = 25;
    private static final double METHODS_WITHIN = 0.94;

    /** Files above the ceiling, each with the lines it may have at most. */
    private static final Map<String, Integer> LONGER = Map.of(
            "Circuit.java", 842,
            "ChargeRegulator.java", 537,
            "AcSide.java", 417,
            "Run.java", 443,
            "BusBalance.java", 385);

    @Test
    public void filesAreShortButTheNamedOnes() throws IOException {
        Map<String, Integer> longer = new TreeMap<>();
        int looked = 0;
        for (Path file : shipped()) {
            String name = file.getFileName().toString();
            int lines = Files.readAllLines(file).size();
            if (lines > (name.endsWith(".svelte") ? LINES_OF_A_COMPONENT : LINES)) {
                longer.put(name, lines);
            }
            looked++;
        }
        assertTrue(looked > 1000, looked + " files");
        assertEquals(longer.keySet(), LONGER.keySet(), "too long; what is short again leaves the list");
        longer.forEach((file, lines) -> assertTrue(lines <= LONGER.get(file), file + " has grown to " + lines));
    }

    @Test
    public void methodsAreShort() throws IOException {
        Map<String, Long> lengths = new TreeMap<>();
        JavaCompiler compiler = ToolProvider.getSystemJavaCompiler();
        try (StandardJavaFileManager files = compiler.getStandardFileManager(null, null, null)) {
            JavacTask task = (JavacTask) compiler.getTask(
                    null, files, null, List.of("-proc:none"), null, files.getJavaFileObjectsFromPaths(sources()));
            SourcePositions positions = Trees.instance(task).getSourcePositions();
            for (CompilationUnitTree unit : task.parse()) {
                new TreeScanner<Void, Void>() {
                    @Override
                    public Void visitMethod(MethodTree method, Void nothing) {
                        long from = unit.getLineMap().getLineNumber(positions.getStartPosition(unit, method));
                        long to = unit.getLineMap().getLineNumber(positions.getEndPosition(unit, method));
                        lengths.put(
                                unit.getSourceFile().getName() + ":" + from + " " + method.getName(), to - from + 1);
                        return super.visitMethod(method, nothing);
                    }
                }.scan(unit, null);
            }
        }
        assertTrue(lengths.size() > 1500, lengths.size() + " methods");
        List<String> longer = lengths.entrySet().stream()
                .filter(one -> one.getValue() > LINES_OF_A_METHOD)
                .map(one -> one.getKey() + " has " + one.getValue())
                .toList();
        double within = 1 - (double) longer.size() / lengths.size();
        assertTrue(
                within >= METHODS_WITHIN, within + " of methods are within " + LINES_OF_A_METHOD + " lines: " + longer);
    }

    /** Every file of Java that ships. */
    private static List<Path> sources() throws IOException {
        return shipped().stream()
                .filter(file -> file.toString().endsWith(".java"))
                .toList();
    }

    /** Every file that ships, of all modules and of the interface; what is generated is not ours. */
    private static List<Path> shipped() throws IOException {
        try (Stream<Path> modules = Files.list(HOUSE);
                Stream<Path> components = Files.walk(HOUSE.resolve("web/src"))) {
            List<Path> files = new ArrayList<>(components
                    .filter(file -> file.toString().matches(".*\\.(svelte|ts)"))
                    .filter(file -> !file.toString().matches(".*\\.(test|d)\\.ts"))
                    .toList());
            for (Path module : modules.map(module -> module.resolve(JAVA)).toList()) {
                if (Files.isDirectory(module)) {
                    try (Stream<Path> of = Files.walk(module)) {
                        of.filter(file -> file.toString().endsWith(".java")).forEach(files::add);
                    }
                }
            }
            return files.stream().sorted().toList();
        }
    }
}
