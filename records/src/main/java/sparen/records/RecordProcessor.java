package sparen.records;

import java.io.IOException;
import java.io.Writer;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import javax.annotation.processing.AbstractProcessor;
import javax.annotation.processing.RoundEnvironment;
import javax.annotation.processing.SupportedAnnotationTypes;
import javax.annotation.processing.SupportedOptions;
import javax.lang.model.SourceVersion;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.RecordComponentElement;
import javax.lang.model.element.TypeElement;
import javax.lang.model.type.DeclaredType;
import javax.lang.model.type.TypeMirror;
import javax.lang.model.util.ElementFilter;
import javax.tools.Diagnostic;
import javax.tools.StandardLocation;

/**
 * For the public records of a module: one class that knows the components of each, offered as the service {@code
 * sparen.quantity.RecordTypes}; and for a record X that implements an interface {@code XWith}, that interface, with one {@code
 * with…} for each component, and a class {@code XBuilder} that names each
 * component where it is given. The class is named by the option {@code records}, such as {@code sparen.records.CoreRecords}.
 */
@SupportedAnnotationTypes("*")
@SupportedOptions("records")
public final class RecordProcessor extends AbstractProcessor {
    private static final String SERVICE = "sparen.quantity.RecordTypes";

    private boolean written;

    @Override
    public SourceVersion getSupportedSourceVersion() {
        return SourceVersion.latestSupported();
    }

    @Override
    public boolean process(Set<? extends TypeElement> annotations, RoundEnvironment round) {
        String table = processingEnv.getOptions().get("records");
        if (written || table == null) {
            return false;
        }
        written = true;
        TreeMap<String, TypeElement> records = new TreeMap<>();
        round.getRootElements().forEach(root -> collect(root, records));
        try {
            for (TypeElement record : records.values()) {
                if (asksForWithers(record)) {
                    withers(record);
                    builder(record);
                }
            }
            table(table, List.copyOf(records.values()));
        } catch (IOException broken) {
            processingEnv.getMessager().printMessage(Diagnostic.Kind.ERROR, "records: " + broken.getMessage());
        }
        return false;
    }

    /** A record within private or package-private types cannot be reached from the table. */
    private static void collect(Element type, TreeMap<String, TypeElement> records) {
        boolean reached = type.getModifiers().contains(Modifier.PUBLIC)
                || type.getEnclosingElement().getKind() == ElementKind.INTERFACE;
        if (reached && type instanceof TypeElement element) {
            if (element.getKind() == ElementKind.RECORD) {
                records.put(element.getQualifiedName().toString(), element);
            }
            ElementFilter.typesIn(element.getEnclosedElements()).forEach(inner -> collect(inner, records));
        }
    }

    private static String withersOf(TypeElement record) {
        return record.getSimpleName() + "With";
    }

    /** The interface is not there yet, so that only its name is known. */
    private static boolean asksForWithers(TypeElement record) {
        return record.getInterfaces().stream().anyMatch(one -> one.toString().endsWith(withersOf(record)));
    }

    private void withers(TypeElement record) throws IOException {
        String type = record.getQualifiedName().toString();
        String target = packageOf(record);
        List<? extends RecordComponentElement> components = record.getRecordComponents();
        String whole = components.stream()
                .map(one -> "    " + one.asType() + " " + one.getSimpleName() + "();\n\n")
                .collect(Collectors.joining());
        String withers = components.stream()
                .map(one -> "    /** A copy with another " + one.getSimpleName() + ". */\n    default " + type + " with"
                        + capital(one.getSimpleName().toString()) + "(" + one.asType() + " " + one.getSimpleName()
                        + ") {\n        return new " + type + "(" + arguments(components, one) + ");\n    }\n\n")
                .collect(Collectors.joining());
        write(
                target + "." + withersOf(record),
                record,
                "package " + target + ";\n\n/** Copies of a {@link " + type
                        + "} with one component changed. */\npublic interface " + withersOf(record) + " {\n" + whole
                        + withers + "}\n");
    }

    /** What is not given is an empty optional, list or map; a number that is not given is none, which the record refuses. */
    private void builder(TypeElement record) throws IOException {
        String type = record.getQualifiedName().toString();
        String target = packageOf(record);
        String builder = record.getSimpleName() + "Builder";
        List<? extends RecordComponentElement> components = record.getRecordComponents();
        String fields = components.stream()
                .map(one -> "    private " + one.asType() + " " + one.getSimpleName() + beginning(one.asType()) + ";\n")
                .collect(Collectors.joining());
        String setters = components.stream()
                .map(one -> "    /** Gives its " + one.getSimpleName() + ". */\n    public " + builder + " "
                        + one.getSimpleName() + "(" + one.asType() + " " + one.getSimpleName() + ") {\n        this."
                        + one.getSimpleName() + " = " + one.getSimpleName() + ";\n        return this;\n    }\n\n")
                .collect(Collectors.joining());
        String arguments =
                components.stream().map(one -> one.getSimpleName().toString()).collect(Collectors.joining(", "));
        write(
                target + "." + builder,
                record,
                "package " + target + ";\n\n/** Builds a {@link " + type
                        + "} component by component. */\npublic final class "
                        + builder + " {\n" + fields + "\n" + setters
                        + "    /** The record, which looks at all of it. */\n"
                        + "    public " + type + " build() {\n        return new " + type + "(" + arguments
                        + ");\n    }\n}\n");
    }

    private String beginning(TypeMirror type) {
        return switch (processingEnv.getTypeUtils().erasure(type).toString()) {
            case "double" -> " = Double.NaN";
            case "java.util.Optional" -> " = java.util.Optional.empty()";
            case "java.util.List" -> " = java.util.List.of()";
            case "java.util.Map" -> " = java.util.Map.of()";
            default -> "";
        };
    }

    private static String arguments(List<? extends RecordComponentElement> components, RecordComponentElement changed) {
        return components.stream()
                .map(one -> one == changed ? one.getSimpleName().toString() : "this." + one.getSimpleName() + "()")
                .collect(Collectors.joining(", "));
    }

    private String packageOf(TypeElement record) {
        return processingEnv
                .getElementUtils()
                .getPackageOf(record)
                .getQualifiedName()
                .toString();
    }

    private static String capital(String name) {
        return Character.toUpperCase(name.charAt(0)) + name.substring(1);
    }

    private void table(String name, List<TypeElement> records) throws IOException {
        int dot = name.lastIndexOf('.');
        List<String> entries = new ArrayList<>();
        List<String> makers = new ArrayList<>();
        for (int i = 0; i < records.size(); i++) {
            entries.add("                of" + i + "()");
            makers.add(entry("of" + i, records.get(i)));
        }
        write(
                name,
                null,
                "package " + name.substring(0, dot)
                        + ";\n\nimport java.util.List;\nimport sparen.quantity.RecordType;\nimport sparen.quantity.Shape;\n\n"
                        + "/** The public records of a module. */\n@SuppressWarnings({\"unchecked\", \"rawtypes\", \"cast\"})\n"
                        + "public final class " + name.substring(dot + 1) + " implements " + SERVICE + " {\n"
                        + "    @Override\n    public List<RecordType> all() {\n        return List.of(new RecordType[] {\n"
                        + String.join(",\n", entries) + "\n        });\n    }\n\n" + String.join("\n", makers) + "}\n");
        try (Writer service = processingEnv
                .getFiler()
                .createResource(StandardLocation.CLASS_OUTPUT, "", "META-INF/services/" + SERVICE)
                .openWriter()) {
            service.write(name + "\n");
        }
    }

    private String entry(String method, TypeElement record) {
        String type = record.getQualifiedName().toString();
        List<? extends RecordComponentElement> components = record.getRecordComponents();
        String names = components.stream()
                .map(one -> "\"" + one.getSimpleName() + "\"")
                .collect(Collectors.joining(", "));
        String sealed = record.getInterfaces().stream()
                .map(one -> (TypeElement) processingEnv.getTypeUtils().asElement(one))
                .filter(one -> one.getModifiers().containsAll(List.of(Modifier.SEALED, Modifier.PUBLIC)))
                .map(one -> one.getQualifiedName() + ".class")
                .collect(Collectors.joining(", "));
        String shapes = components.stream().map(one -> shape(one.asType())).collect(Collectors.joining(", "));
        String read = components.stream()
                .map(one -> "((" + type + ") it)." + one.getSimpleName() + "()")
                .collect(Collectors.joining(", "));
        String made = IntStream.range(0, components.size())
                .mapToObj(i -> "(" + boxed(components.get(i).asType()) + ") v[" + i + "]")
                .collect(Collectors.joining(", "));
        return "    private static RecordType " + method + "() {\n        return new RecordType(\n                "
                + type
                + ".class,\n                List.<Class<?>>of(new Class<?>[] {" + sealed
                + "}),\n                List.of(" + names + "),\n                List.<Shape>of(new Shape[] {" + shapes
                + "}),\n                it -> new Object[] {" + read
                + "},\n                v -> new " + type + "(" + made + "));\n    }\n";
    }

    /** What an optional, a list or a map is around, else the type itself. */
    private String shape(TypeMirror type) {
        List<? extends TypeMirror> inner = type instanceof DeclaredType around ? around.getTypeArguments() : List.of();
        if (isWhole(type, "java.util.Optional")) {
            return "new Shape.Maybe(" + shape(inner.get(0)) + ")";
        }
        if (isWhole(type, "java.util.List")) {
            return "new Shape.Many(" + shape(inner.get(0)) + ")";
        }
        String erased = processingEnv.getTypeUtils().erasure(type).toString();
        return isWhole(type, "java.util.Map")
                ? "new Shape.Named(" + inner.get(0) + ".class, " + shape(inner.get(1)) + ")"
                : "new Shape.Whole(" + erased + ".class)";
    }

    private boolean isWhole(TypeMirror type, String name) {
        return processingEnv.getTypeUtils().erasure(type).toString().equals(name);
    }

    private String boxed(TypeMirror type) {
        return type.getKind().isPrimitive()
                ? processingEnv
                        .getTypeUtils()
                        .boxedClass(processingEnv.getTypeUtils().getPrimitiveType(type.getKind()))
                        .toString()
                : processingEnv.getTypeUtils().erasure(type).toString();
    }

    private void write(String name, Element origin, String source) throws IOException {
        Element[] origins = origin == null ? new Element[0] : new Element[] {origin};
        try (Writer writer =
                processingEnv.getFiler().createSourceFile(name, origins).openWriter()) {
            writer.write(source);
        }
    }
}
