package sparen.document;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import sparen.program.DuskToDawn;
import sparen.program.GeneratorStart;
import sparen.program.LowBatterySignal;
import sparen.program.Rule;
import sparen.program.Sentence;
import sparen.program.SurplusBySoc;
import sparen.program.VoltageDisconnect;
import sparen.program.VoltageDiversion;
import sparen.quantity.InvalidQuantity;
import sparen.site.AcSource;
import sparen.site.Consumption;
import tools.jackson.core.JacksonException;
import tools.jackson.core.exc.StreamReadException;
import tools.jackson.databind.DatabindException;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.MapperFeature;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.exc.InvalidTypeIdException;
import tools.jackson.databind.exc.MismatchedInputException;
import tools.jackson.databind.exc.UnrecognizedPropertyException;
import tools.jackson.databind.json.JsonMapper;

/** Reads and writes plan documents, and sets up JSON for everything that carries records of the core. */
public final class Documents {
    /** For each of the core's sealed types how its kinds are told apart in JSON: by a field {@code kind}. */
    public static final Map<Class<?>, Class<?>> MIXINS = Map.of(
            Rule.class, RuleKinds.class,
            Consumption.class, ConsumptionKinds.class,
            AcSource.class, AcSourceKinds.class,
            Sentence.Part.class, PartKinds.class);

    private static final JsonMapper MAPPER = configure(JsonMapper.builder()).build();

    private Documents() {}

    /** Sets up a mapper: strict, records of the core by their own component names. */
    public static JsonMapper.Builder configure(JsonMapper.Builder builder) {
        MIXINS.forEach(builder::addMixIn);
        return builder.enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
                .enable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
                .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
                .enable(DeserializationFeature.FAIL_ON_READING_DUP_TREE_KEY)
                .disable(DeserializationFeature.ACCEPT_FLOAT_AS_INT)
                .disable(MapperFeature.ALLOW_COERCION_OF_SCALARS)
                .disable(MapperFeature.SORT_PROPERTIES_ALPHABETICALLY)
                .disable(SerializationFeature.WRITE_SINGLE_ELEM_ARRAYS_UNWRAPPED)
                .changeDefaultPropertyInclusion(include -> include.withValueInclusion(JsonInclude.Include.NON_ABSENT));
    }

    /**
     * Reads a document.
     *
     * @throws DocumentProblem with the pointer of the first field that cannot be taken
     */
    public static PlanDocument read(String json) throws DocumentProblem {
        try {
            return MAPPER.readValue(json, PlanDocument.class);
        } catch (JacksonException broken) {
            throw problem(broken);
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

    /** What went wrong while reading, with the field it went wrong at. */
    public static DocumentProblem problem(JacksonException broken) {
        StringBuilder pointer = new StringBuilder();
        for (JacksonException.Reference step : broken.getPath()) {
            pointer.append('/')
                    .append(step.getPropertyName() != null ? step.getPropertyName() : String.valueOf(step.getIndex()));
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
        if (MIXINS.containsKey(type)) {
            List<String> kinds = Stream.of(
                            MIXINS.get(type).getAnnotation(JsonSubTypes.class).value())
                    .map(JsonSubTypes.Type::name)
                    .toList();
            return "an object with \"kind\" one of " + kinds;
        }
        return type == String.class ? "a text" : Collection.class.isAssignableFrom(type) ? "a list" : "an object";
    }

    @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
    @JsonSubTypes({
        @JsonSubTypes.Type(value = VoltageDisconnect.class, name = "voltageDisconnect"),
        @JsonSubTypes.Type(value = DuskToDawn.class, name = "duskToDawn"),
        @JsonSubTypes.Type(value = LowBatterySignal.class, name = "lowBatterySignal"),
        @JsonSubTypes.Type(value = SurplusBySoc.class, name = "surplusBySoc"),
        @JsonSubTypes.Type(value = VoltageDiversion.class, name = "voltageDiversion"),
        @JsonSubTypes.Type(value = GeneratorStart.class, name = "generatorStart")
    })
    private interface RuleKinds {}

    @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
    @JsonSubTypes({
        @JsonSubTypes.Type(value = Consumption.ConstantPower.class, name = "constantPower"),
        @JsonSubTypes.Type(value = Consumption.ConstantCurrent.class, name = "constantCurrent"),
        @JsonSubTypes.Type(value = Consumption.Resistance.class, name = "resistance"),
        @JsonSubTypes.Type(value = Consumption.Cycling.class, name = "cycling"),
        @JsonSubTypes.Type(value = Consumption.Scheduled.class, name = "scheduled"),
        @JsonSubTypes.Type(value = Consumption.Occupancy.class, name = "occupancy"),
        @JsonSubTypes.Type(value = Consumption.ImportedProfile.class, name = "importedProfile")
    })
    private interface ConsumptionKinds {}

    @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
    @JsonSubTypes({
        @JsonSubTypes.Type(value = AcSource.Generator.class, name = "generator"),
        @JsonSubTypes.Type(value = AcSource.Feeder.class, name = "feeder")
    })
    private interface AcSourceKinds {}

    @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
    @JsonSubTypes({
        @JsonSubTypes.Type(value = Sentence.Words.class, name = "words"),
        @JsonSubTypes.Type(value = Sentence.NumberChip.class, name = "number"),
        @JsonSubTypes.Type(value = Sentence.ChoiceChip.class, name = "choice")
    })
    private interface PartKinds {}
}
