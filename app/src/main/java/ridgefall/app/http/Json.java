package ridgefall.app.http;

import com.fasterxml.jackson.annotation.JsonTypeInfo;
import org.springframework.boot.jackson.autoconfigure.JsonMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import ridgefall.core.job.Fact;
import tools.jackson.core.json.JsonReadFeature;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.MapperFeature;
import tools.jackson.databind.cfg.EnumFeature;
import tools.jackson.databind.jsontype.NamedType;

/** How facts look as JSON: the record's own fields and its name as {@code type}. Nothing is guessed or coerced. */
@Configuration
public class Json {
    @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "type")
    private interface NamedFact {}

    @Bean
    JsonMapperBuilderCustomizer strictFacts() {
        return builder -> {
            builder.addMixIn(Fact.class, NamedFact.class);
            for (Class<?> fact : Fact.class.getPermittedSubclasses()) {
                builder.registerSubtypes(new NamedType(fact, fact.getSimpleName()));
            }
            builder.disable(MapperFeature.ALLOW_COERCION_OF_SCALARS)
                    .disable(DeserializationFeature.ACCEPT_FLOAT_AS_INT)
                    .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
                    .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
                    .enable(EnumFeature.FAIL_ON_NUMBERS_FOR_ENUMS)
                    // NaN is read as a number, so that the check of its field can name the field.
                    .enable(JsonReadFeature.ALLOW_NON_NUMERIC_NUMBERS);
        };
    }
}
