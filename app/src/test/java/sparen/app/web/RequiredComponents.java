package sparen.app.web;

import com.fasterxml.jackson.databind.JavaType;
import io.swagger.v3.core.converter.AnnotatedType;
import io.swagger.v3.core.converter.ModelConverter;
import io.swagger.v3.core.converter.ModelConverterContext;
import io.swagger.v3.core.util.Json;
import io.swagger.v3.oas.models.media.Schema;
import java.lang.reflect.RecordComponent;
import java.util.Iterator;
import java.util.Optional;

/** Tells in the description of the API that every component of a record is there, unless it is optional. */
class RequiredComponents implements ModelConverter {
    @Override
    public Schema<?> resolve(AnnotatedType type, ModelConverterContext context, Iterator<ModelConverter> chain) {
        Schema<?> resolved = chain.hasNext() ? chain.next().resolve(type, context, chain) : null;
        JavaType java = Json.mapper().constructType(type.getType());
        if (resolved == null || !java.getRawClass().isRecord()) {
            return resolved;
        }
        Schema<?> model = resolved;
        if (resolved.get$ref() != null) {
            String name = resolved.get$ref().substring(resolved.get$ref().lastIndexOf('/') + 1);
            model = context.getDefinedModels().get(name);
        }
        if (model != null) {
            Schema<?> target = model.getProperties() == null && model.getAllOf() != null
                    ? model.getAllOf().get(model.getAllOf().size() - 1)
                    : model;
            for (RecordComponent component : java.getRawClass().getRecordComponents()) {
                boolean listed =
                        target.getRequired() != null && target.getRequired().contains(component.getName());
                if (component.getType() != Optional.class && !listed) {
                    target.addRequiredItem(component.getName());
                }
            }
        }
        return resolved;
    }
}
