package ridgefall.app.http;

import com.fasterxml.jackson.annotation.JsonTypeInfo;
import org.springframework.boot.jackson.autoconfigure.JsonMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import ridgefall.core.edge.Outline;
import ridgefall.core.gate.Course;
import ridgefall.core.job.Fact;
import ridgefall.core.job.JobFact;
import ridgefall.core.units.NotAllowed;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.core.json.JsonReadFeature;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.MapperFeature;
import tools.jackson.databind.SerializationContext;
import tools.jackson.databind.ValueSerializer;
import tools.jackson.databind.cfg.EnumFeature;
import tools.jackson.databind.deser.jdk.StringDeserializer;
import tools.jackson.databind.jsontype.NamedType;
import tools.jackson.databind.jsontype.TypeSerializer;
import tools.jackson.databind.module.SimpleModule;

/** How facts look as JSON: the record's own fields and its name as {@code type}. Nothing is guessed or coerced. */
@Configuration
public class Json {
    @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "type")
    private interface Named {}

    /** A number is no text, and the database keeps none with a NUL in it. */
    private static final class PlainText extends StringDeserializer {
        @Override
        public String deserialize(JsonParser parser, DeserializationContext context) {
            String field = parser.currentName();
            if (!parser.hasToken(JsonToken.VALUE_STRING)) {
                return (String) context.handleUnexpectedToken(getValueType(context), parser);
            }
            String text = super.deserialize(parser, context);
            if (text.indexOf('\0') >= 0) {
                throw new NotAllowed(
                        field == null ? "text" : field, "a text with a NUL in it", "text without control characters");
            }
            return text;
        }
    }

    /** What can't be read here leaves as it came. */
    private static final class AsItCame extends ValueSerializer<JobFact.FromNewer> {
        @Override
        public void serialize(JobFact.FromNewer fact, JsonGenerator out, SerializationContext context) {
            out.writeRawValue(fact.text());
        }

        @Override
        public void serializeWithType(
                JobFact.FromNewer fact, JsonGenerator out, SerializationContext context, TypeSerializer type) {
            serialize(fact, out, context);
        }
    }

    @Bean
    public JsonMapperBuilderCustomizer strictFacts() {
        return builder -> {
            builder.addMixIn(Fact.class, Named.class);
            Course.facts().forEach(fact -> builder.registerSubtypes(new NamedType(fact, fact.getSimpleName())));
            builder.addMixIn(Outline.class, Named.class);
            for (Class<?> outline : Outline.class.getPermittedSubclasses()) {
                builder.registerSubtypes(new NamedType(outline, outline.getSimpleName()));
            }
            builder.disable(MapperFeature.ALLOW_COERCION_OF_SCALARS)
                    .disable(DeserializationFeature.ACCEPT_FLOAT_AS_INT)
                    .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
                    .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
                    .enable(EnumFeature.FAIL_ON_NUMBERS_FOR_ENUMS)
                    // NaN is read as a number, so that the check of its field can name the field.
                    .enable(JsonReadFeature.ALLOW_NON_NUMERIC_NUMBERS);
            builder.addModule(new SimpleModule("plain text").addDeserializer(String.class, new PlainText()));
            builder.addModule(new SimpleModule("from newer").addSerializer(JobFact.FromNewer.class, new AsItCame()));
        };
    }
}
