package sparen.app.web;

import com.fasterxml.jackson.core.JsonProcessingException;
import io.swagger.v3.core.util.Json;
import io.swagger.v3.oas.models.Components;
import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.ArraySchema;
import io.swagger.v3.oas.models.media.Content;
import io.swagger.v3.oas.models.media.Discriminator;
import io.swagger.v3.oas.models.media.IntegerSchema;
import io.swagger.v3.oas.models.media.MediaType;
import io.swagger.v3.oas.models.media.ObjectSchema;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.media.StringSchema;
import io.swagger.v3.oas.models.responses.ApiResponse;
import io.swagger.v3.oas.models.security.SecurityScheme;
import io.swagger.v3.oas.models.tags.Tag;
import java.lang.reflect.RecordComponent;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springframework.stereotype.Component;
import sparen.question.Kinds;

/**
 * Tells in the description of the API how the kinds of a sealed type are told apart, what types are, how one signs in and
 * how a refusal looks.
 */
@Component
class ApiDescription implements OpenApiCustomizer {
    private static final String KIND = "kind";
    private static final String REFERENCE = "#/components/schemas/";
    private static final String PROBLEM = "Problem";

    /** The ways to be somebody: signed in on a page, or with a token of one's own. */
    static final List<String> SIGNED_IN = List.of("session", "token");

    private static final Map<String, String> REFUSALS = Map.of(
            "401", "Nobody is signed in, and no token that holds was shown.",
            "403", "Your role does not reach as far.",
            "404", "There is no such thing, or it is not for you to see.",
            "422", "A field cannot be taken; errors says which, by JSON Pointer, and why.",
            "default",
                    "Refused, or failed; detail says why: 409 when somebody was there before, 413 and 408 for"
                            + " bodies too large or too slow, 429 when too much is asked, 503 with Retry-After while busy"
                            + " or the database is away.");

    private final Javadocs javadocs;

    ApiDescription(Javadocs javadocs) {
        this.javadocs = javadocs;
    }

    /** Where the answer of a status stands. */
    static String refusal(String status) {
        return "#/components/responses/" + name(status);
    }

    private static String name(String status) {
        return status.equals("default") ? "Refused" : "Refused" + status;
    }

    /** Of a type's name the words it is made of: LoggerFiles, Logger files. */
    static String words(String name) {
        String spaced = name.replaceAll("(?<=[a-z0-9])(?=[A-Z])", " ").toLowerCase(Locale.ROOT);
        return spaced.substring(0, 1).toUpperCase(Locale.ROOT) + spaced.substring(1);
    }

    @Override
    public void customise(OpenAPI api) {
        api.info(new Info()
                        .title("Sparen")
                        .version("1")
                        .description("What the page does, a script can do. Quantities are in the SI units their names"
                                + " end with, times in ISO 8601, shares as fractions. What a run tells is simulated."))
                .servers(null);
        Kinds.ALL.forEach((type, kinds) -> describe(api.getComponents().getSchemas(), type, kinds));
        problems(api.getComponents());
        api.getComponents()
                .addSecuritySchemes(
                        SIGNED_IN.get(0),
                        new SecurityScheme()
                                .type(SecurityScheme.Type.APIKEY)
                                .in(SecurityScheme.In.COOKIE)
                                .name("SESSION")
                                .description("As a page has it: POST /api/session. What changes something also"
                                        + " sends the cookie XSRF-TOKEN back in the header X-XSRF-TOKEN."))
                .addSecuritySchemes(
                        SIGNED_IN.get(1),
                        new SecurityScheme()
                                .type(SecurityScheme.Type.HTTP)
                                .scheme("bearer")
                                .description("A token for scripts, made under your account."));
        api.getComponents().getSchemas().forEach(this::say);
        api.getPaths().forEach((path, item) -> item.readOperationsMap().forEach((method, operation) -> {
            String body = ApiExamples.BODIES.get(method + " " + path);
            if (body != null) {
                operation.getRequestBody().getContent().values().forEach(type -> type.setExample(read(body)));
            }
        }));
        api.getPaths().values().stream()
                .flatMap(path -> path.readOperations().stream())
                .flatMap(operation -> operation.getTags().stream())
                .distinct()
                .sorted()
                .forEach(tag -> api.addTagsItem(new Tag().name(tag)));
    }

    private static Object read(String body) {
        try {
            return Json.mapper().readTree(body);
        } catch (JsonProcessingException e) {
            throw new IllegalStateException(e);
        }
    }

    private static void problems(Components components) {
        components
                .addSchemas(
                        "FieldError",
                        new ObjectSchema()
                                .addProperty(
                                        "pointer",
                                        new StringSchema()
                                                .description("JSON Pointer (RFC 6901) into what was sent,"
                                                        + " with ids for entries of lists"))
                                .addProperty("detail", new StringSchema().description("why, with the bound"))
                                .required(List.of("pointer", "detail")))
                .addSchemas(
                        PROBLEM,
                        new ObjectSchema()
                                .addProperty("type", new StringSchema().description("urn:sparen:problem:…"))
                                .addProperty("title", new StringSchema())
                                .addProperty("status", new IntegerSchema())
                                .addProperty("detail", new StringSchema().description("in plain words"))
                                .addProperty("errors", new ArraySchema().items(ref("FieldError")))
                                .required(List.of("status", "detail"))
                                .description("Problem details (RFC 9457)."));
        REFUSALS.forEach((status, detail) -> components.addResponses(
                name(status),
                new ApiResponse()
                        .description(detail)
                        .content(new Content()
                                .addMediaType("application/problem+json", new MediaType().schema(ref(PROBLEM))))));
    }

    private static Schema<?> ref(String name) {
        return new Schema<>().$ref(REFERENCE + name);
    }

    /** A type's title is its name in words, and it and its fields say what their Javadoc says. */
    private void say(String name, Schema<?> schema) {
        Set<String> fields = schema.getProperties() == null
                ? Set.of()
                : schema.getProperties().keySet();
        Javadocs.Said said = javadocs.type(name, fields);
        schema.setTitle(words(name));
        if (schema.getDescription() == null && !said.text().isEmpty()) {
            schema.setDescription(said.text());
        }
        if (schema.getProperties() != null) {
            schema.getProperties().forEach((field, value) -> {
                String words = said.parameters().get(field);
                if (words != null && value.get$ref() == null && value.getDescription() == null) {
                    value.setDescription(words);
                }
            });
        }
    }

    @SuppressWarnings({"rawtypes", "unchecked"})
    private static void describe(Map<String, Schema> schemas, Class<?> type, Map<String, Class<?>> kinds) {
        Schema<?> base = new Schema<>();
        Discriminator discriminator = new Discriminator().propertyName(KIND);
        for (Map.Entry<String, Class<?>> kind : kinds.entrySet()) {
            String name = kind.getValue().getSimpleName();
            Schema<?> inherited = schemas.get(name);
            if (inherited == null || inherited.getAllOf() == null) {
                continue;
            }
            Map<String, Schema> properties = new LinkedHashMap<>();
            properties.put(KIND, new StringSchema()._enum(List.of(kind.getKey())));
            inherited.getAllOf().stream()
                    .filter(part -> part.getProperties() != null)
                    .forEach(part -> properties.putAll(part.getProperties()));
            Schema<?> plain = new ObjectSchema();
            plain.setProperties(properties);
            List<String> optional = Stream.of(kind.getValue().getRecordComponents())
                    .filter(component -> component.getType() == Optional.class)
                    .map(RecordComponent::getName)
                    .toList();
            plain.setRequired(properties.keySet().stream()
                    .filter(property -> !optional.contains(property))
                    .toList());
            schemas.put(name, plain);
            base.addOneOfItem(new Schema<>().$ref(REFERENCE + name));
            discriminator.mapping(kind.getKey(), REFERENCE + name);
        }
        base.setDiscriminator(discriminator);
        schemas.put(type.getSimpleName(), base);
    }
}
