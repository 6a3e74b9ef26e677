package ridgefall.core.profile;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import ridgefall.core.profile.ProfileDocument.Cable;
import ridgefall.core.profile.ProfileDocument.Connector;
import ridgefall.core.profile.ProfileDocument.Family;
import ridgefall.core.profile.ProfileDocument.Inside;
import ridgefall.core.profile.ProfileDocument.InsideHold;
import ridgefall.core.profile.ProfileDocument.InsideKind;
import ridgefall.core.profile.ProfileDocument.PlugRole;
import ridgefall.core.profile.ProfileDocument.Screw;
import tools.jackson.databind.node.ObjectNode;

/** A tablet with things, screws and plugs over one another any way that chance has it; some lie over themselves. */
public final class RandomDevice {
    private static final List<Double> LENGTHS_MM = List.of(1.8, 2.4, 2.9, 4.6);

    private RandomDevice() {}

    static Inside thing(String id, List<String> coveredBy) {
        return new Inside(id, id, InsideKind.PLATE, InsideHold.SCREWED, null, 1, coveredBy);
    }

    /** Only what comes apart at all, with the battery reached where its body says. */
    public static Stream<ProfileDocument> thatComeApart(long seed, int tried) {
        Random random = new Random(seed);
        return IntStream.range(0, tried)
                .mapToObj(n -> of(random))
                .filter(device -> OrderGraph.loop(device).isEmpty())
                .map(device -> ShippedBook.changed(
                        device,
                        d -> ((ObjectNode) d.get("body"))
                                .put(
                                        "batteryReach",
                                        OrderGraph.of(device)
                                                .batteryReach()
                                                .orElseThrow()
                                                .name())));
    }

    static ProfileDocument of(Random random) {
        List<String> over = new ArrayList<>(List.of(ProfileDocument.FRONT));
        List<Inside> inside = new ArrayList<>();
        for (int n = 0; n < 1 + random.nextInt(6); n++) {
            InsideKind kind = random.nextInt(4) == 0 ? InsideKind.PANEL : InsideKind.PLATE;
            inside.add(new Inside("t" + n, "t" + n, kind, InsideHold.SCREWED, null, 1, some(over, random)));
            over.add("t" + n);
        }
        List<Screw> screws = IntStream.range(0, random.nextInt(8))
                .mapToObj(n -> new Screw(
                        "s" + n,
                        1,
                        1,
                        "cross",
                        random.nextInt(4) == 0 ? 1.2 : 1.4,
                        LENGTHS_MM.get(random.nextInt(LENGTHS_MM.size())),
                        "flat",
                        random.nextBoolean() ? null : 1.0,
                        random.nextBoolean() ? null : 2.0,
                        1 + random.nextInt(3),
                        false,
                        random.nextInt(9) == 0,
                        some(over, random),
                        random.nextInt(5) == 0 ? null : over.get(random.nextInt(over.size()))))
                .toList();
        List<Connector> plugs = IntStream.range(0, 1 + random.nextInt(5))
                .mapToObj(n -> new Connector(
                        "p" + n,
                        "plug",
                        Family.FLEX,
                        n == 0 ? PlugRole.BATTERY : PlugRole.TOUCH,
                        null,
                        1 + n,
                        null,
                        n > 0 && random.nextInt(4) > 0,
                        null,
                        some(over, random),
                        random.nextInt(5) == 0
                                ? null
                                : new Cable(over.get(random.nextInt(over.size())), random.nextInt(3) == 0, List.of())))
                .toList();
        return ShippedBook.changed("class-tablet-metal", d -> {
            ShippedBook.put(d, "inside", inside);
            ShippedBook.put(d, "screws", screws);
            ShippedBook.put(d, "connectors", plugs);
        });
    }

    private static List<String> some(List<String> of, Random random) {
        return of.stream().filter(id -> random.nextInt(3) == 0).toList();
    }
}
