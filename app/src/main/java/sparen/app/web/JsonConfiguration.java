package sparen.app.web;

import io.swagger.v3.core.util.Json;
import io.swagger.v3.core.util.Json31;
import org.springframework.boot.jackson.autoconfigure.JsonMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import sparen.document.Documents;

/** HTTP speaks the same JSON as documents, and the description of the API says so. */
@Configuration
class JsonConfiguration {
    @Bean
    JsonMapperBuilderCustomizer documentJson() {
        return Documents::configure;
    }

    @Bean
    RequiredComponents requiredComponents() {
        Documents.MIXINS.forEach((type, kinds) -> {
            Json.mapper().addMixIn(type, kinds);
            Json31.mapper().addMixIn(type, kinds);
        });
        return new RequiredComponents();
    }
}
