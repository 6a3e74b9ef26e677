package ridgefall.app.http;

import io.swagger.v3.core.converter.AnnotatedType;
import io.swagger.v3.core.converter.ModelConverters;
import io.swagger.v3.core.converter.ResolvedSchema;
import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.Discriminator;
import io.swagger.v3.oas.models.media.JsonSchema;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.servers.Server;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import ridgefall.core.gate.Course;
import ridgefall.core.job.Fact;

/** The generated description of the interface. Every field is always present; those that may be null say so. */
@Configuration
public class ApiDescription {
    /** Schema and field; what the annotations of a record can't say, because it stands in the core or is a reference. */
    private static final List<String[]> MAY_BE_NULL = List.of(
            new String[] {"SourceView", "air"},
            new String[] {"RecordView", "afterAWeek"},
            new String[] {"HeatPlanView", "taken"},
            new String[] {"CarryView", "split"},
            new String[] {"LyingPlugView", "at"},
            new String[] {"ScrewFitView", "drive"},
            new String[] {"HeatPlanView", "then"},
            new String[] {"FitView", "contactWPerM2K"},
            new String[] {"FitView", "offsetK"},
            new String[] {"SourceView", "measured"},
            new String[] {"GivenSource", "air"},
            new String[] {"SessionView", "me"},
            new String[] {"JobView", "undo"},
            new String[] {"JobView", "resume"},
            new String[] {"HoldView", "signOff"},
            new String[] {"Checked", "edge"},
            new String[] {"WorthView", "replacement"},
            new String[] {"WorthView", "breakEvenPart"},
            new String[] {"Feature", "depthMm"},
            new String[] {"Function", "failsAs"},
            new String[] {"Connector", "latchSide"},
            new String[] {"Connector", "place"},
            new String[] {"Connector", "cable"},
            new String[] {"Screw", "stackMm"},
            new String[] {"Screw", "threadedMm"},
            new String[] {"Screw", "holds"},
            new String[] {"Inside", "area"},
            new String[] {"CarryOver", "area"},
            new String[] {"CarryOver", "mostC"},
            new String[] {"CarryOver", "centredOn"},
            new String[] {"CarryOver", "leastBendMm"},
            new String[] {"CarryOver", "tapeMm"},
            new String[] {"CarryOver", "lays"},
            new String[] {"CarryOver", "functionId"},
            new String[] {"PairedPart", "solderMeltsC"},
            new String[] {"Cover", "area"},
            new String[] {"PairedPart", "adapter"},
            new String[] {"PairedPart", "generation"},
            new String[] {"Variant", "border"},
            new String[] {"Variant", "ledge"},
            new String[] {"Variant", "seat"},
            new String[] {"Variant", "seals"},
            new String[] {"Variant", "opticalBonds"},
            new String[] {"Connector", "seatingProof"},
            new String[] {"Front", "seamWords"},
            new String[] {"Front", "adhesive"},
            new String[] {"Body", "layers"},
            new String[] {"Layers", "opticalAdhesive"},
            new String[] {"CarryOver", "brings"},
            new String[] {"Variant", "massKg"},
            new String[] {"UsualFeature", "depthMm"},
            new String[] {"LedgerRowView", "moving"},
            new String[] {"LedgerRowView", "soldering"},
            new String[] {"MovingView", "centre"},
            new String[] {"MovingView", "on"},
            new String[] {"LedgeView", "primer"},
            new String[] {"JoinView", "radiometer"},
            new String[] {"BondView", "held"},
            new String[] {"BondView", "seat"},
            new String[] {"BondView", "ring"},
            new String[] {"FlushPlaceView", "verdict"},
            new String[] {"FlushPlaceView", "take"},
            new String[] {"SealView", "press"},
            new String[] {"ZoneView", "found"},
            new String[] {"LeakView", "result"},
            new String[] {"ChargeView", "verdict"},
            new String[] {"Check", "good"},
            new String[] {"Check", "bad"},
            new String[] {"SealView", "bead"},
            new String[] {"SealView", "gauge"},
            new String[] {"CopyView", "running"},
            new String[] {"CopyView", "read"},
            new String[] {"CopyView", "written"},
            new String[] {"JoinView", "film"},
            new String[] {"TouchView", "openUntil"},
            new String[] {"JoinView", "with"},
            new String[] {"ChoiceView", "leadsTo"});

    /** The same of facts. */
    private static final List<String[]> MAY_BE_NULL_IN_FACTS = List.of(
            new String[] {"JobOpened", "variantId"},
            new String[] {"FunctionTested", "reason"},
            new String[] {"FaultChecked", "phase"},
            new String[] {"CheckAnswered", "reason"},
            new String[] {"TimerStarted", "timerId"},
            new String[] {"TimerStopped", "timerId"},
            new String[] {"HoldOverridden", "held"},
            new String[] {"RepairAgreed", "grade"},
            new String[] {"PhotoTaken", "words"},
            new String[] {"Signed", "drawing"},
            new String[] {"HeardBack", "said"},
            new String[] {"BendMarked", "bentMm"},
            new String[] {"CornerMeasured", "bentMm"},
            new String[] {"HeldByChosen", "supplyId"},
            new String[] {"HeldByChosen", "supply"},
            new String[] {"HeldByChosen", "rollsMm"},
            new String[] {"BeadLaid", "supplyId"},
            new String[] {"StripLaid", "rollId"},
            new String[] {"StripLaid", "usedMm"},
            new String[] {"PrimerDry", "until"},
            new String[] {"LampRead", "lampId"},
            new String[] {"LampRead", "awayMm"},
            new String[] {"LampOn", "lampId"},
            new String[] {"LiquidLaid", "supplyId"},
            new String[] {"LiquidLaid", "ml"},
            new String[] {"LiquidLaid", "doseJPerCm2"},
            new String[] {"SoakStarted", "where"},
            new String[] {"PickTried", "bondC"},
            new String[] {"ScrewTold", "words"},
            new String[] {"CopyFailed", "said"},
            new String[] {"MishapSeen", "positionMm"},
            new String[] {"MishapSeen", "stepId"},
            new String[] {"PartOrdered", "due"},
            new String[] {"PartOrdered", "price"},
            new String[] {"PartOrdered", "currency"},
            new String[] {"PartSwapped", "stockId"},
            new String[] {"PartSwapped", "words"},
            new String[] {"SoakStarted", "dial"},
            new String[] {"SoakStarted", "distanceMm"});

    /** Where a fact stands in what is sent: {@code @Schema(ref = ApiDescription.FACT)}. */
    public static final String FACT = "#/components/schemas/Fact";

    @Bean
    OpenAPI info() {
        // A server of its own, or the description would name whatever address it was asked at.
        return new OpenAPI().info(new Info().title("Ridgefall").version("1")).servers(List.of(new Server().url("/")));
    }

    @Bean
    OpenApiCustomizer everyFieldIsPresent() {
        return api -> {
            facts(api);
            for (Schema<?> schema : api.getComponents().getSchemas().values()) {
                if (schema.getProperties() != null) {
                    schema.setRequired(new ArrayList<>(schema.getProperties().keySet()));
                }
            }
            outlines(api);
            MAY_BE_NULL.forEach(one -> mayBeNull(api, one[0], one[1]));
            MAY_BE_NULL_IN_FACTS.forEach(one -> mayBeNull(api, one[0], one[1]));
        };
    }

    /** Every fact there is, told apart by its type. */
    @SuppressWarnings({"rawtypes", "unchecked"})
    private static void facts(OpenAPI api) {
        Map<String, Schema> schemas = api.getComponents().getSchemas();
        Discriminator byType = new Discriminator().propertyName("type");
        List<Schema> all = new ArrayList<>();
        Course.facts().sorted(Comparator.comparing(Class::getSimpleName)).forEach(fact -> {
            String name = fact.getSimpleName();
            ResolvedSchema resolved =
                    ModelConverters.getInstance(true).resolveAsResolvedSchema(new AnnotatedType(fact));
            resolved.referencedSchemas.forEach(schemas::putIfAbsent);
            Map<String, Schema> fields =
                    new TreeMap<>(resolved.schema.getProperties() == null ? Map.of() : resolved.schema.getProperties());
            fields.replaceAll(
                    (field, schema) -> ("#/components/schemas/" + Fact.class.getSimpleName()).equals(schema.get$ref())
                            ? new JsonSchema().$ref(FACT)
                            : schema);
            fields.put("type", new JsonSchema().types(Set.of("string"))._const(name));
            schemas.put(name, object(fields));
            byType.mapping(name, "#/components/schemas/" + name);
            all.add(new JsonSchema().$ref("#/components/schemas/" + name));
        });
        schemas.put("Fact", new JsonSchema().oneOf(all).discriminator(byType));
    }

    /** A reference to another schema loses its "nullable" on the way into the description. */
    @SuppressWarnings({"rawtypes", "unchecked"})
    private static void mayBeNull(OpenAPI api, String schema, String property) {
        Map<String, Schema> properties =
                api.getComponents().getSchemas().get(schema).getProperties();
        Schema<?> reference = properties.get(property);
        properties.put(property, new JsonSchema().anyOf(List.of(reference, new JsonSchema().types(Set.of("null")))));
    }

    /** The two shapes of an outline, told apart by their type. */
    @SuppressWarnings({"rawtypes", "unchecked"})
    private static void outlines(OpenAPI api) {
        Map<String, Schema> schemas = api.getComponents().getSchemas();
        Schema<?> number = new JsonSchema().types(Set.of("number"));
        Schema<?> point = object(Map.of("xMm", number, "yMm", number));
        Map<String, Schema<?>> rectangle = new TreeMap<>();
        for (String field :
                List.of("widthMm", "heightMm", "topLeftMm", "topRightMm", "bottomRightMm", "bottomLeftMm")) {
            rectangle.put(field, number);
        }
        rectangle.put("type", new JsonSchema().types(Set.of("string"))._const("RoundedRectangle"));
        schemas.put("RoundedRectangle", object(rectangle));
        schemas.put(
                "Closed",
                object(Map.of(
                        "points", new JsonSchema().types(Set.of("array")).items(point),
                        "type", new JsonSchema().types(Set.of("string"))._const("Closed"))));
        schemas.put(
                "Outline",
                new JsonSchema()
                        .oneOf(List.of(
                                new JsonSchema().$ref("#/components/schemas/RoundedRectangle"),
                                new JsonSchema().$ref("#/components/schemas/Closed"))));
    }

    @SuppressWarnings("rawtypes")
    private static Schema<?> object(Map<String, ? extends Schema> fields) {
        JsonSchema object = new JsonSchema();
        object.types(Set.of("object"));
        new TreeMap<>(fields).forEach(object::addProperty);
        object.setRequired(fields.keySet().stream().sorted().toList());
        return object;
    }
}
