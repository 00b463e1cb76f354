package sparen.app.web;

import org.springframework.boot.jackson.autoconfigure.JsonMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import sparen.document.Documents;

/** HTTP speaks the same JSON as documents. */
@Configuration
class JsonConfiguration {
    @Bean
    JsonMapperBuilderCustomizer documentJson() {
        return Documents::configureForOthers;
    }
}
