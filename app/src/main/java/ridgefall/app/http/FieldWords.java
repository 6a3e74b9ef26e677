package ridgefall.app.http;

import java.util.Locale;
import java.util.Map;
import java.util.regex.Pattern;

/** A field of the interface as a person would name it. */
final class FieldWords {
    /** Where the field's own name, taken apart, would be a riddle. */
    private static final Map<String, String> KNOWN = Map.ofEntries(
            Map.entry("maxC", "highest setting"),
            Map.entry("minC", "lowest setting"),
            Map.entry("settleS", "time to settle"),
            Map.entry("fromId", "the device to start from"),
            Map.entry("fromMm", "place along the edge"),
            Map.entry("positionMm", "place along the edge"),
            Map.entry("celsius", "temperature"),
            Map.entry("agreedBy", "agreed by"),
            Map.entry("signedBy", "signed by"),
            Map.entry("checkId", "the check"),
            Map.entry("functionId", "the function"),
            Map.entry("holdId", "the hold"),
            Map.entry("expectedSeq", "what this screen had seen"),
            Map.entry("commandId", "the command's id"),
            Map.entry("at", "place"),
            Map.entry("old", "old password"),
            Map.entry("to", "handed to"),
            Map.entry("xMm", "place on the face"),
            Map.entry("yMm", "place on the face"),
            Map.entry("stockId", "the part"),
            Map.entry("mwPerCm2", "the lamp"),
            Map.entry("thicknessMm", "thickness"),
            Map.entry("expires", "use by"),
            Map.entry("stretchIds", "the stretches"),
            Map.entry("stretchId", "the stretch"),
            Map.entry("solidKPa", "filled over a solid piece"),
            Map.entry("startKPa", "over the watch, at the start"),
            Map.entry("endKPa", "over the watch, at the end"),
            Map.entry("startC", "warmth at the start"),
            Map.entry("endC", "warmth at the end"),
            Map.entry("chamberMl", "the chamber"),
            Map.entry("frontMm", "front, over the ledge"),
            Map.entry("depthMm", "ledge under the rim"),
            Map.entry("overMm", "front over the rim"),
            Map.entry("viscosityPaS", "viscosity"),
            Map.entry("doseJPerCm2", "dose"),
            Map.entry("awayMm", "lamp to glass"),
            Map.entry("acrossMm", "largest bubble"),
            Map.entry("atMm", "how far away"),
            Map.entry("cycleSeconds", "one cycle"),
            Map.entry("chamberKPa", "pressure of the chamber"),
            Map.entry("chamberC", "warmth of the chamber"),
            Map.entry("kPa", "pressure"),
            Map.entry("newtons", "force"),
            Map.entry("skinMinutes", "skins over"),
            Map.entry("cureHours", "cures"),
            Map.entry("profileId", "the device"),
            Map.entry("supplyId", "the supply"),
            Map.entry("checks.badIf", "chance of a bad outcome"),
            Map.entry("checks.minutes", "minutes of a check"),
            Map.entry("causes.weight", "weight of a cause"),
            Map.entry("signs.seenIf", "chance of a sign"),
            Map.entry("seq", "number of the fact"));

    private static final Pattern UNIT = Pattern.compile("(Mm|C|Kg|Id)$");
    private static final Pattern NAME = Pattern.compile("[a-zA-Z_]+");

    private FieldWords() {}

    static String of(String field) {
        if (KNOWN.containsKey(field) || !NAME.matcher(field).matches()) {
            return KNOWN.getOrDefault(field, field);
        }
        return UNIT.matcher(field)
                .replaceFirst("")
                .replaceAll("(?<=[a-z])([A-Z])", " $1")
                .replace('_', ' ')
                .toLowerCase(Locale.ROOT)
                .strip();
    }
}
