package sparen.app.web;

import com.github.javaparser.ParserConfiguration;
import com.github.javaparser.ParserConfiguration.LanguageLevel;
import com.github.javaparser.StaticJavaParser;
import com.github.javaparser.ast.body.MethodDeclaration;
import com.github.javaparser.ast.body.Parameter;
import com.github.javaparser.ast.body.RecordDeclaration;
import com.github.javaparser.ast.body.TypeDeclaration;
import com.github.javaparser.ast.nodeTypes.NodeWithJavadoc;
import com.github.javaparser.javadoc.Javadoc;
import com.github.javaparser.javadoc.JavadocBlockTag;
import com.github.javaparser.javadoc.description.JavadocDescription;
import com.github.javaparser.javadoc.description.JavadocInlineTag;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** What the sources say of types and methods, for the description of the API. */
final class Javadocs {
    private static final List<Path> SOURCES = Stream.of(".", "../core", "../document")
            .map(module -> Path.of(module, "src/main/java"))
            .toList();

    private final Map<String, List<Said>> types = new HashMap<>();

    /**
     * What is said of a type or a method.
     *
     * @param text in plain words, with a full stop
     * @param parameters by name
     * @param methods of a type, by name
     * @param components of a record
     */
    record Said(String text, Map<String, String> parameters, Map<String, Said> methods, Set<String> components) {
        /** The first sentence. */
        String summary() {
            int end = text.indexOf(". ");
            return end < 0 ? text : text.substring(0, end + 1);
        }

        static final Said NOTHING = new Said("", Map.of(), Map.of(), Set.of());
    }

    Javadocs() {
        StaticJavaParser.setConfiguration(new ParserConfiguration().setLanguageLevel(LanguageLevel.JAVA_17));
        for (Path source : SOURCES) {
            try (Stream<Path> files = Files.walk(source)) {
                for (Path file :
                        files.filter(one -> one.toString().endsWith(".java")).toList()) {
                    StaticJavaParser.parse(file).findAll(TypeDeclaration.class).forEach(type -> types.computeIfAbsent(
                                    type.getNameAsString(), name -> new ArrayList<>())
                            .add(ofType(type)));
                }
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
    }

    /** What is said of a controller by its simple name. */
    Said type(String simpleName) {
        return type(simpleName, Set.of());
    }

    /** What is said of a type by its simple name; of several of that name the record with these components. */
    Said type(String simpleName, Set<String> components) {
        List<Said> found = types.getOrDefault(simpleName, List.of(Said.NOTHING));
        return found.stream()
                .filter(said -> said.components().equals(components))
                .findFirst()
                .orElse(found.get(0));
    }

    private static Said ofType(TypeDeclaration<?> type) {
        Map<String, Said> methods = type.getMethods().stream()
                .filter(NodeWithJavadoc::hasJavaDocComment)
                .collect(Collectors.toMap(
                        MethodDeclaration::getNameAsString, method -> of(method.getJavadoc()), (one, other) -> one));
        Said said = of(type.getJavadoc());
        Set<String> components = type instanceof RecordDeclaration record
                ? record.getParameters().stream()
                        .map(Parameter::getNameAsString)
                        .collect(Collectors.toSet())
                : Set.of();
        return new Said(said.text(), said.parameters(), methods, components);
    }

    private static Said of(Optional<Javadoc> written) {
        return written.map(javadoc -> new Said(
                        plain(javadoc.getDescription()),
                        javadoc.getBlockTags().stream()
                                .filter(tag -> tag.getType() == JavadocBlockTag.Type.PARAM)
                                .filter(tag -> tag.getName().isPresent())
                                .collect(Collectors.toMap(
                                        tag -> tag.getName().orElseThrow(), tag -> plain(tag.getContent()))),
                        Map.of(),
                        Set.of()))
                .orElse(Said.NOTHING);
    }

    private static String plain(JavadocDescription description) {
        return description.getElements().stream()
                .map(element -> element instanceof JavadocInlineTag tag ? called(tag) : element.toText())
                .collect(Collectors.joining())
                .replaceAll("<[^>]*>", "")
                .replaceAll("\\s+", " ")
                .strip();
    }

    /** Of a link what it is called, not where it points; of anything else what stands in it. */
    private static String called(JavadocInlineTag tag) {
        String content = tag.getContent().strip();
        return tag.getType() == JavadocInlineTag.Type.LINK
                ? content.substring(content.lastIndexOf(content.contains(" ") ? ' ' : '#') + 1)
                : content;
    }
}
