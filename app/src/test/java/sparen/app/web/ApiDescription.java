package sparen.app.web;

import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.Discriminator;
import io.swagger.v3.oas.models.media.ObjectSchema;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.media.StringSchema;
import java.lang.reflect.RecordComponent;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
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
        Documents.KINDS.forEach((type, kinds) -> describe(api.getComponents().getSchemas(), type, kinds));
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
