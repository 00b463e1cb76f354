package sparen.document;

import com.fasterxml.jackson.annotation.JsonAlias;
import com.fasterxml.jackson.annotation.JsonIgnoreProperties;
import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import com.fasterxml.jackson.annotation.Nulls;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import sparen.device.Knob;
import sparen.device.NumberKnob;
import sparen.examined.Cure;
import sparen.program.Mode;
import sparen.program.Output;
import sparen.quantity.InvalidQuantity;
import sparen.quantity.Place;
import sparen.question.Kinds;
import sparen.question.RunInputs;
import sparen.study.Absence;
import sparen.study.Years;
import tools.jackson.core.JacksonException;
import tools.jackson.core.exc.StreamReadException;
import tools.jackson.databind.DatabindException;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.MapperFeature;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.exc.InvalidNullException;
import tools.jackson.databind.exc.InvalidTypeIdException;
import tools.jackson.databind.exc.MismatchedInputException;
import tools.jackson.databind.exc.UnrecognizedPropertyException;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.jsontype.NamedType;

/** Reads and writes plan documents, and sets up JSON for everything that carries records of the core. */
public final class Documents {
    private static final List<Class<?>> DRAWN =
            List.of(RunInputs.class, Years.Year.class, Absence.Question.class, Absence.Outcome.class);
    private static final JsonMapper MAPPER = configure(JsonMapper.builder()).build();

    private Documents() {}

    /** Sets up a mapper: strict, records of the core by their own component names. */
    public static JsonMapper.Builder configure(JsonMapper.Builder builder) {
        builder.addMixIn(Cure.class, CureInWords.class);
        builder.addMixIn(Output.class, OlderOutput.class);
        builder.addMixIn(Mode.class, OlderMode.class);
        DRAWN.forEach(one -> builder.addMixIn(one, OlderDrawn.class));
        Kinds.ALL.forEach((type, kinds) -> {
            builder.addMixIn(type, type == Knob.class ? KnobByKind.class : ByKind.class);
            kinds.forEach((name, kind) -> builder.registerSubtypes(new NamedType(kind, name)));
        });
        return builder.changeDefaultNullHandling(handling -> handling.withContentNulls(Nulls.FAIL))
                .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
                .enable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
                .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
                .enable(DeserializationFeature.FAIL_ON_READING_DUP_TREE_KEY)
                .disable(DeserializationFeature.ACCEPT_FLOAT_AS_INT)
                .disable(MapperFeature.ALLOW_COERCION_OF_SCALARS)
                .disable(MapperFeature.SORT_PROPERTIES_ALPHABETICALLY)
                .disable(SerializationFeature.WRITE_SINGLE_ELEM_ARRAYS_UNWRAPPED)
                .changeDefaultPropertyInclusion(include -> include.withValueInclusion(JsonInclude.Include.NON_ABSENT));
    }

    /** Sets up a mapper for what comes in from outside: as ever, and texts without what nobody can see. What is stored stays readable. */
    public static JsonMapper.Builder configureForOthers(JsonMapper.Builder builder) {
        return configure(builder).addModule(PlainText.module());
    }

    /**
     * Reads a document.
     *
     * @throws DocumentProblem with the pointer of the first field that cannot be taken
     */
    public static PlanDocument read(String json) throws DocumentProblem {
        return readAny(json, PlanDocument.class);
    }

    /**
     * Reads a record of the core.
     *
     * @throws DocumentProblem with the pointer of the first field that cannot be taken
     */
    public static <T> T readAny(String json, Class<T> type) throws DocumentProblem {
        try {
            return MAPPER.readValue(json, type);
        } catch (JacksonException broken) {
            throw problem(broken, json);
        }
    }

    /** Writes a document, indented. */
    public static String write(PlanDocument document) {
        return MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(document);
    }

    /** Writes anything of the core on one indented page. */
    public static String writeAny(Object value) {
        return MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(value);
    }

    /** What went wrong while reading a text, with the place it went wrong at: list entries by their ids. */
    public static DocumentProblem problem(JacksonException broken, String json) {
        Object document;
        try {
            document = MAPPER.readValue(json, Object.class);
        } catch (JacksonException noJson) {
            // Where it is no JSON at all there is nothing to look ids up in.
            document = Map.of();
        }
        DocumentProblem problem = problem(broken);
        return new DocumentProblem(Place.withIds(document, problem.pointer()), problem.getMessage(), broken);
    }

    private static DocumentProblem problem(JacksonException broken) {
        StringBuilder pointer = new StringBuilder();
        for (JacksonException.Reference step : broken.getPath()) {
            pointer.append('/')
                    .append(
                            step.getPropertyName() != null
                                    ? Place.escaped(step.getPropertyName())
                                    : String.valueOf(step.getIndex()));
        }
        Throwable cause = broken.getCause();
        while (cause != null && !(cause instanceof InvalidQuantity)) {
            cause = cause.getCause();
        }
        if (cause instanceof InvalidQuantity invalid) {
            return new DocumentProblem(pointer + "/" + invalid.field().replace('.', '/'), invalid.getMessage(), broken);
        }
        return new DocumentProblem(pointer.toString(), plain(broken), broken);
    }

    private static String plain(JacksonException broken) {
        if (broken instanceof UnrecognizedPropertyException unknown) {
            return "there is no field \"" + unknown.getPropertyName() + "\" here; known are "
                    + unknown.getKnownPropertyIds();
        }
        String where = broken.getLocation() == null
                ? ""
                : " (line " + broken.getLocation().getLineNr() + ", column "
                        + broken.getLocation().getColumnNr() + ")";
        if (broken instanceof InvalidTypeIdException unknown) {
            return expected(unknown.getBaseType().getRawClass()) + " is expected here" + where;
        }
        if (broken instanceof InvalidNullException) {
            return "nothing (null) stands here where an entry is expected" + where;
        }
        if (broken instanceof MismatchedInputException wrong && wrong.getTargetType() != null) {
            return expected(wrong.getTargetType()) + " is expected here" + where;
        }
        String what = broken.getOriginalMessage();
        if (broken instanceof StreamReadException) {
            return "not JSON: " + what + where;
        }
        return broken instanceof DatabindException ? what + where : broken.getMessage();
    }

    /** What a person would call a type of the model. */
    private static String expected(Class<?> type) {
        if (type.isEnum()) {
            return "one of " + List.of(type.getEnumConstants());
        }
        if (type.isPrimitive() || Number.class.isAssignableFrom(type)) {
            return type == boolean.class ? "true or false" : "a number";
        }
        if (Kinds.ALL.containsKey(type)) {
            return "an object with \"kind\" one of "
                    + List.copyOf(Kinds.ALL.get(type).keySet());
        }
        return type == String.class ? "a text" : Collection.class.isAssignableFrom(type) ? "a list" : "an object";
    }

    /** Of a cure its words are told; the change is made here. */
    @JsonIgnoreProperties("change")
    public interface CureInWords {}

    /** An output whose mode was once called a wish, and whose contact was dead without power. */
    interface OlderOutput {
        @JsonAlias("wish")
        Mode mode();

        @JsonAlias("dead")
        Optional<Output.Position> withoutPower();
    }

    /** What is drawn by a weather number: it was once called a seed. */
    interface OlderDrawn {
        @JsonAlias("seed")
        long weatherNumber();
    }

    /** A mode by rule was once called automatic. */
    enum OlderMode {
        @JsonAlias("AUTOMATIC")
        BY_RULE
    }

    /** Once every entry of a device's menu was a number. */
    @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind", defaultImpl = NumberKnob.class)
    public interface KnobByKind {}

    /** How kinds are told apart. */
    @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
    public interface ByKind {}
}
