package sparen.app.web;

import com.fasterxml.jackson.databind.AnnotationIntrospector;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.introspect.Annotated;
import com.fasterxml.jackson.databind.introspect.NopAnnotationIntrospector;
import com.fasterxml.jackson.databind.jsontype.NamedType;
import io.swagger.v3.core.util.Json;
import io.swagger.v3.core.util.Json31;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import sparen.document.Documents;
import sparen.examined.Cure;
import sparen.question.Kinds;

/** The description of the API says what the JSON of documents is like. */
@Configuration
class DescribedJson {
    @Bean
    RequiredComponents requiredComponents() {
        for (ObjectMapper mapper : List.of(Json.mapper(), Json31.mapper())) {
            Kinds.ALL.keySet().forEach(type -> mapper.addMixIn(type, Documents.ByKind.class));
            mapper.addMixIn(Cure.class, Documents.CureInWords.class);
            mapper.setAnnotationIntrospector(AnnotationIntrospector.pair(
                    new Subtypes(), mapper.getSerializationConfig().getAnnotationIntrospector()));
        }
        return new RequiredComponents();
    }

    @Bean
    Javadocs javadocs() {
        return new Javadocs();
    }

    /** Tells the description of the API the kinds of a type. */
    private static final class Subtypes extends NopAnnotationIntrospector {
        private static final long serialVersionUID = 1L;

        @Override
        public List<NamedType> findSubtypes(Annotated annotated) {
            Map<String, Class<?>> kinds = Kinds.ALL.get(annotated.getRawType());
            return kinds == null
                    ? null
                    : kinds.entrySet().stream()
                            .map(kind -> new NamedType(kind.getValue(), kind.getKey()))
                            .collect(Collectors.toCollection(ArrayList::new));
        }
    }
}
