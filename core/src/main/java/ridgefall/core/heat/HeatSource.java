package ridgefall.core.heat;

import java.util.List;
import ridgefall.core.material.FrontCondition;
import ridgefall.core.units.Allowed;
import ridgefall.core.units.NotAllowed;

/** A source the bench owns that warms the whole face at once. Contacts are common practice until measured here. */
public record HeatSource(String id, String name, Kind kind, int minC, int maxC) {

    public enum Kind {
        PLATE,
        COMPLIANT_PAD
    }

    /**
     * Heat transfer into the glass in W/(m²·K): five of a hundred benches lie below {@code low}, five above
     * {@code high}.
     */
    public record Contact(double low, double typical, double high) {}

    public HeatSource {
        Allowed.text("id", id, 40);
        Allowed.text("name", name, 60);
        Allowed.between("minC", minC, 30, 150, "°C");
        Allowed.between("maxC", maxC, minC, 150, "°C");
    }

    public Contact contact(FrontCondition condition) {
        if (kind == Kind.COMPLIANT_PAD) {
            return condition == FrontCondition.SHATTERED ? new Contact(90, 180, 320) : new Contact(300, 400, 500);
        }
        return switch (condition) {
            case INTACT -> new Contact(80, 150, 300);
            case CRACKED -> new Contact(60, 110, 220);
            case SHATTERED -> new Contact(35, 60, 110);
        };
    }

    /** @throws NotAllowed when this source can't be set so */
    public void checkSetting(double settingC) {
        Allowed.between("settingC", settingC, minC, maxC, "°C on " + name);
    }

    /** The bench of the demo workshop; a shop's own list comes with the tools it owns. */
    public static List<HeatSource> bench() {
        return List.of(
                new HeatSource("plate-1", "Plate 1", Kind.PLATE, 50, 90),
                new HeatSource("plate-2", "Plate 2", Kind.PLATE, 50, 90),
                new HeatSource("pad-1", "Gel pad", Kind.COMPLIANT_PAD, 50, 85));
    }

    public static HeatSource byId(String id) {
        return bench().stream()
                .filter(source -> source.id.equals(id))
                .findFirst()
                .orElseThrow(() -> new NotAllowed(
                        "sourceId",
                        id,
                        "one of "
                                + String.join(
                                        ", ",
                                        bench().stream().map(HeatSource::id).toList())));
    }
}
