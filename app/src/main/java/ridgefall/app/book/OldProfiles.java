package ridgefall.app.book;

import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import ridgefall.core.profile.Confidence;
import ridgefall.core.profile.DeviceClass;
import ridgefall.core.profile.ProfileDocument;
import ridgefall.core.profile.ProfileDocument.BatteryReach;
import ridgefall.core.profile.ProfileDocument.Build;
import ridgefall.core.profile.ProfileDocument.PlugRole;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Profiles of the first format, brought to that of today as they are read; what is stored stays as it was written. What
 * nobody was asked for then is left open where the form allows it, else guessed and marked as a guess.
 */
final class OldProfiles {
    static final String FIRST = "ridgefall-device/1";

    /** Threads that go with a driver more often than not, mm. */
    private static final Map<String, Double> THREADS = Map.of(
            "cross 000", 1.2, "cross 00", 1.4, "cross 0", 2.0, "tri-point 000", 0.8, "star T5", 2.0, "star T6", 2.5);

    private static final double USUAL_THREAD_MM = 1.4;

    /** What a plug of the first format is for, by what it is called; the first word found says. */
    private static final List<Map.Entry<String, PlugRole>> CALLED = List.of(
            Map.entry("battery", PlugRole.BATTERY),
            Map.entry("touch", PlugRole.TOUCH),
            Map.entry("panel", PlugRole.PANEL),
            Map.entry("display", PlugRole.PANEL),
            Map.entry("payment", PlugRole.PAYMENT),
            Map.entry("antenna", PlugRole.ANTENNA),
            Map.entry("coax", PlugRole.ANTENNA),
            Map.entry("sensor", PlugRole.SENSOR),
            Map.entry("key", PlugRole.KEY),
            Map.entry("speaker", PlugRole.SOUND),
            Map.entry("charg", PlugRole.CHARGE));

    private static final Set<String> ON_THE_LEDGE =
            Set.of("GLASS_WITH_TOUCH", "FUSED_FRONT", "CLIPPED_FRONT", "TOUCH_GLASS");

    private final ObjectNode profile;
    private final ObjectNode confidence;

    private OldProfiles(ObjectNode profile) {
        this.profile = profile;
        this.confidence = (ObjectNode) profile.get("confidence");
    }

    static boolean isOld(JsonNode tree) {
        return FIRST.equals(tree.path("format").asString(""));
    }

    /** @param tree right by the schema of the format it names */
    static JsonNode upCast(JsonNode tree) {
        if (!isOld(tree)) {
            return tree;
        }
        OldProfiles old = new OldProfiles((ObjectNode) tree.deepCopy());
        old.upCast();
        return old.profile;
    }

    private void upCast() {
        profile.put("format", ProfileDocument.FORMAT);
        ((ObjectNode) profile.get("front"))
                .put("panel", "WATCH".equals(profile.get("kind").asString()) ? "OLED" : "LCD");
        guess("front/panel");
        seat();
        inside();
        connectors(profile);
        profile.get("screws").forEach(screw -> screw((ObjectNode) screw));
        parts(profile);
        profile.get("covers").forEach(cover -> {
            ((ObjectNode) cover).putArray("stretches");
            ((ObjectNode) cover).putNull("area");
        });
        adhesives();
        profile.get("variants").forEach(variant -> variant((ObjectNode) variant));
    }

    private void guess(String path) {
        confidence.put(path, Confidence.GUESS.name());
    }

    private void seat() {
        JsonNode body = profile.get("body");
        DeviceClass of = DeviceClass.valueOf(body.get("deviceClass").asString());
        ProfileDocument.Layers usual =
                of.layers(Build.valueOf(profile.get("front").get("build").asString()));
        JsonNode glass = body.get("layers").path("glass").path("thicknessMm");
        JsonNode adhesive = body.get("layers").path("adhesive").path("thicknessMm");
        double glassMm = glass.asDouble(usual.glass().thicknessMm());
        ObjectNode seat = profile.putObject("seat");
        seat.put(
                "material",
                switch (of) {
                    case METAL_TABLET -> "ALUMINIUM";
                    case PLASTIC_TABLET -> "PLASTIC";
                    case METAL_WATCH -> "STEEL";
                });
        seat.put("depthMm", glassMm + adhesive.asDouble(usual.adhesive().thicknessMm()));
        ArrayNode parts = seat.putArray("parts");
        profile.get("repairs")
                .valueStream()
                .flatMap(repair -> repair.get("parts").valueStream())
                .map(JsonNode::asString)
                .filter(ON_THE_LEDGE::contains)
                .distinct()
                .forEach(part -> parts.addObject().put("part", part).put("overLedgeMm", glassMm));
        seat.putArray("plastics");
        guess("seat");
    }

    /** Shields are all that the first format knew of what lies inside; nothing named them, so they may be called anew. */
    private void inside() {
        Set<String> taken = new HashSet<>(Set.of(ProfileDocument.FRONT));
        Stream.concat(Stream.of(profile), profile.get("variants").valueStream())
                .flatMap(lists -> lists.get("carryOvers").valueStream())
                .forEach(part -> taken.add(part.get("id").asString()));
        ArrayNode inside = profile.putArray("inside");
        for (JsonNode shield : profile.remove("shields")) {
            String id = free(shield.get("id").asString(), taken);
            thing(
                    inside,
                    id,
                    shield.get("words").asString(),
                    "SHIELD",
                    shield.get("hold").asString());
        }
        if (reach() == BatteryReach.UNDER_PANEL) {
            thing(inside, free("panel", taken), "Panel", "PANEL", "LIES");
        }
    }

    private static String free(String id, Set<String> taken) {
        String free = id;
        for (int n = 2; !taken.add(free); n++) {
            free = id + "-" + n;
        }
        return free;
    }

    private void thing(ArrayNode inside, String id, String words, String kind, String hold) {
        inside.addObject()
                .put("id", id)
                .put("words", words)
                .put("kind", kind)
                .put("hold", hold)
                .putNull("area")
                .put("layer", 1)
                .putArray("coveredBy")
                .add(ProfileDocument.FRONT);
        guess("inside/" + id);
    }

    private BatteryReach reach() {
        return BatteryReach.valueOf(profile.get("body").get("batteryReach").asString());
    }

    private void connectors(ObjectNode lists) {
        for (JsonNode each : lists.get("connectors")) {
            ObjectNode plug = (ObjectNode) each;
            String id = plug.get("id").asString();
            PlugRole role = role(id + " " + plug.get("words").asString());
            plug.put("role", role.name()).putNull("place").putNull("cable");
            ArrayNode coveredBy = plug.putArray("coveredBy");
            if (role != PlugRole.BATTERY || reach() == BatteryReach.FRONT_OPEN) {
                coveredBy.add(ProfileDocument.FRONT);
            } else if (reach() == BatteryReach.UNDER_PANEL) {
                JsonNode inside = profile.get("inside");
                coveredBy.add(inside.get(inside.size() - 1).get("id").asString());
            }
            guess("connectors/" + id + "/role");
            guess("connectors/" + id + "/coveredBy");
        }
    }

    private static PlugRole role(String called) {
        String words = called.toLowerCase(Locale.ROOT);
        return CALLED.stream()
                .filter(word -> words.contains(word.getKey()))
                .map(Map.Entry::getValue)
                .findFirst()
                .orElse(PlugRole.FRONT);
    }

    private void screw(ObjectNode screw) {
        double threadMm = THREADS.getOrDefault(screw.get("driver").asString(), USUAL_THREAD_MM);
        screw.put("threadMm", threadMm).putNull("stackMm").putNull("threadedMm").putNull("holds");
        screw.set("underHeadMm", screw.remove("lengthMm"));
        screw.putArray("coveredBy");
        guess("screws/" + screw.get("id").asString() + "/threadMm");
    }

    private static void parts(ObjectNode lists) {
        for (JsonNode part : lists.get("carryOvers")) {
            ((ObjectNode) part).putNull("area").put("layer", 0).putArray("coveredBy");
        }
        for (JsonNode part : lists.get("pairedParts")) {
            ((ObjectNode) part).putNull("adapter").putNull("generation").putArray("joints");
        }
    }

    /** The first format had seal and optical bond in one list. */
    private void adhesives() {
        ArrayNode seals = profile.putArray("seals");
        ArrayNode optical = profile.putArray("opticalBonds");
        for (JsonNode adhesive : profile.remove("adhesives")) {
            if ("OPTICAL_LIQUID".equals(adhesive.asString())) {
                optical.add("LIQUID");
            } else {
                seals.add(adhesive);
            }
        }
        if (seals.isEmpty()) {
            seals.add("DIE_CUT");
            guess("seals");
        }
    }

    private void variant(ObjectNode variant) {
        connectors(variant);
        parts(variant);
        List.of("border", "ledge", "seat", "seals", "opticalBonds").forEach(variant::putNull);
        List.of("screws", "inside", "covers", "repairs").forEach(variant::putArray);
    }
}
