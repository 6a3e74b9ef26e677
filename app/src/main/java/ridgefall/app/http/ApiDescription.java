package ridgefall.app.http;

import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.JsonSchema;
import io.swagger.v3.oas.models.media.Schema;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The generated description of the interface. Every field is always present; those that may be null say so. */
@Configuration
class ApiDescription {
    @Bean
    OpenAPI info() {
        return new OpenAPI().info(new Info().title("Ridgefall").version("1"));
    }

    @Bean
    OpenApiCustomizer everyFieldIsPresent() {
        return api -> {
            api.setServers(null);
            for (Schema<?> schema : api.getComponents().getSchemas().values()) {
                if (schema.getProperties() != null) {
                    schema.setRequired(new ArrayList<>(schema.getProperties().keySet()));
                }
            }
            mayBeNull(api, "SessionView", "me");
            mayBeNull(api, "JobView", "undo");
        };
    }

    /** A reference to another schema loses its "nullable" on the way into the description. */
    @SuppressWarnings({"rawtypes", "unchecked"})
    private static void mayBeNull(OpenAPI api, String schema, String property) {
        Map<String, Schema> properties =
                api.getComponents().getSchemas().get(schema).getProperties();
        Schema<?> reference = properties.get(property);
        properties.put(property, new JsonSchema().anyOf(List.of(reference, new JsonSchema().types(Set.of("null")))));
    }
}
