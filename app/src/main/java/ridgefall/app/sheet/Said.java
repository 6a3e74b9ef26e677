package ridgefall.app.sheet;

import java.text.NumberFormat;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.time.format.FormatStyle;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import ridgefall.core.units.Allowed;
import ridgefall.core.units.NotAllowed;

/**
 * How a shop writes days, numbers and measures on paper. A screen does the same for whoever reads it.
 *
 * @param zone whose clock says which day it is
 */
public record Said(Locale language, ZoneId zone, boolean fahrenheit, boolean inches) {
    /** The words are the same in all of them: only days and numbers are written as there. */
    public static final List<String> LANGUAGES = List.of(
            "en-GB", "en-US", "cs-CZ", "da-DK", "de-DE", "es-ES", "fi-FI", "fr-FR", "it-IT", "nl-NL", "pl-PL", "pt-PT",
            "sv-SE");

    private static final Pattern LEFT_TO_THE_READER = Pattern.compile("\\{(C|t|K|mm|most|s|day):(-?[\\d.-]+)}");
    private static final double MM_PER_INCH = 25.4;

    /** @throws NotAllowed naming which of them is none */
    public static Said of(String language, String timeZone, String temperature, String length) {
        oneOf("language", language, LANGUAGES);
        oneOf("timeZone", timeZone, ZoneId.getAvailableZoneIds().stream().toList());
        oneOf("temperature", temperature, List.of("C", "F"));
        oneOf("length", length, List.of("mm", "in"));
        return new Said(
                Locale.forLanguageTag(language), ZoneId.of(timeZone), temperature.equals("F"), length.equals("in"));
    }

    private static void oneOf(String field, String value, List<String> allowed) {
        if (!allowed.contains(Allowed.present(field, value))) {
            String words =
                    allowed.size() > 20 ? "a time zone such as Europe/Lisbon" : "one of " + String.join(", ", allowed);
            throw new NotAllowed(field, value, words);
        }
    }

    public String day(Instant at) {
        return DateTimeFormatter.ofLocalizedDate(FormatStyle.LONG)
                .withLocale(language)
                .format(at.atZone(zone));
    }

    public String moment(Instant at) {
        return DateTimeFormatter.ofLocalizedDateTime(FormatStyle.MEDIUM, FormatStyle.SHORT)
                .withLocale(language)
                .format(at.atZone(zone));
    }

    /** Puts what the core left as {unit:value} into the shop's units. */
    public String say(String words) {
        return LEFT_TO_THE_READER
                .matcher(words)
                .replaceAll(found -> Matcher.quoteReplacement(measure(found.group(1), found.group(2))));
    }

    private String measure(String unit, String value) {
        return switch (unit) {
            case "day" ->
                DateTimeFormatter.ofLocalizedDate(FormatStyle.LONG)
                        .withLocale(language)
                        .format(LocalDate.parse(value));
            case "C", "t" -> {
                double celsius = Double.parseDouble(value);
                int digits = unit.equals("t") ? 1 : 0;
                yield fahrenheit ? number(celsius * 1.8 + 32, digits) + " °F" : number(celsius, digits) + " °C";
            }
            case "K" -> {
                double k = Double.parseDouble(value);
                yield fahrenheit ? number(1.8 * k, 1) + " °F" : number(k, 1) + " K";
            }
            case "mm" -> length(Double.parseDouble(value), false);
            case "most" -> length(Double.parseDouble(value), true);
            default -> duration(Math.round(Double.parseDouble(value)));
        };
    }

    /** @param atMost a limit: never rounded up */
    private String length(double mm, boolean atMost) {
        double value = inches ? mm / MM_PER_INCH : mm;
        int digits = inches
                ? value == 0 || Math.abs(value) >= 10 ? 1 : Math.abs(value) < 0.1 ? 3 : 2
                : Math.abs(mm) >= 10 ? 0 : Math.abs(mm) >= 1 || mm == 0 ? 1 : 2;
        double scale = Math.pow(10, digits);
        double shown = atMost ? Math.floor(value * scale + 1e-6) / scale : value;
        return number(shown, digits) + (inches ? " in" : " mm");
    }

    private static String duration(long seconds) {
        long minutes = seconds / 60;
        long rest = seconds % 60;
        if (minutes == 0) {
            return rest + " s";
        }
        return minutes + " min" + (rest == 0 ? "" : " " + rest + " s");
    }

    private String number(double value, int digits) {
        NumberFormat format = NumberFormat.getNumberInstance(language);
        format.setMinimumFractionDigits(digits);
        format.setMaximumFractionDigits(digits);
        return format.format(value);
    }
}
