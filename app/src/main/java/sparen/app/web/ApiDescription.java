package sparen.app.web;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.Discriminator;
import io.swagger.v3.oas.models.media.ObjectSchema;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.media.StringSchema;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springframework.stereotype.Component;
import sparen.document.Documents;

/** Tells in the description of the API how the kinds of a sealed type are told apart: by their field {@code kind}. */
@Component
class ApiDescription implements OpenApiCustomizer {
    private static final String KIND = "kind";
    private static final String REFERENCE = "#/components/schemas/";

    @Override
    public void customise(OpenAPI api) {
        api.info(new Info().title("Sparen").version("1")).servers(null);
        Documents.MIXINS.forEach((type, kinds) -> describe(api.getComponents().getSchemas(), type, kinds));
    }

    @SuppressWarnings({"rawtypes", "unchecked"})
    private static void describe(Map<String, Schema> schemas, Class<?> type, Class<?> kinds) {
        Schema<?> base = new Schema<>();
        Discriminator discriminator = new Discriminator().propertyName(KIND);
        for (JsonSubTypes.Type kind : kinds.getAnnotation(JsonSubTypes.class).value()) {
            String name = kind.value().getSimpleName();
            Schema<?> inherited = schemas.get(name);
            if (inherited == null || inherited.getAllOf() == null) {
                continue;
            }
            Map<String, Schema> properties = new LinkedHashMap<>();
            properties.put(KIND, new StringSchema()._enum(List.of(kind.name())));
            inherited.getAllOf().stream()
                    .filter(part -> part.getProperties() != null)
                    .forEach(part -> properties.putAll(part.getProperties()));
            Schema<?> plain = new ObjectSchema();
            plain.setProperties(properties);
            plain.setRequired(properties.keySet().stream().toList());
            schemas.put(name, plain);
            base.addOneOfItem(new Schema<>().$ref(REFERENCE + name));
            discriminator.mapping(kind.name(), REFERENCE + name);
        }
        base.setDiscriminator(discriminator);
        schemas.put(type.getSimpleName(), base);
    }
}
