package ridgefall.app.instrument;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Locale;
import java.util.Optional;
import org.springframework.stereotype.Component;
import ridgefall.app.instrument.Instruments.Instrument;
import ridgefall.core.units.NotAllowed;

/** A finger that a machine moves, for devices whose browser tells nothing; docs/formats/touch-rig.md is what it is asked and answers. */
@Component
public class TouchRigs {
    /** A sweep of a large tablet, with the time to put it down. */
    private static final Duration A_TASK = Duration.ofMinutes(3);

    /** As a trace from a file may be. */
    private static final int MOST_BYTES = 999_999;

    private final Instruments instruments;

    private final ShopNets nets;

    TouchRigs(Instruments instruments, ShopNets nets) {
        this.instruments = instruments;
        this.nets = nets;
    }

    /**
     * What a device told while the rig touched it.
     *
     * @param csv as docs/formats/touch-trace.md has it
     */
    public record Told(double widthPx, double heightPx, String csv) {}

    /** Of the bench's first; empty where it has none. */
    public Optional<String> name() {
        return rig().map(Instrument::name);
    }

    private Optional<Instrument> rig() {
        return instruments.all().stream()
                .filter(instrument ->
                        instrument.channels().stream().anyMatch(channel -> channel.quantity() == Quantity.TOUCH))
                .findFirst();
    }

    /**
     * Waits until it is done.
     *
     * @param task as it is called in the format
     * @param widthMm of the face that it moves over, {@code heightMm} the other way
     * @throws NotAllowed where the bench has no rig, or it does not answer as the format says
     */
    public Told run(String task, double widthMm, double heightMm) {
        Instrument rig = rig().orElseThrow(() -> new NotAllowed("rig", "none", "a touch rig under tools"));
        try (ScpiLine line = new ScpiLine(nets.place(rig.host(), rig.port()), ShopNets.PATIENCE)) {
            line.tell(String.format(Locale.ROOT, "TOUC:FACE %.1f,%.1f", widthMm, heightMm));
            String screen = line.ask("TOUC:SCR?");
            String[] px = screen.split(",");
            if (px.length != 2) {
                throw new NotAllowed("rig", ScpiLine.shown(screen), "two numbers for TOUC:SCR?, such as 1194,834");
            }
            byte[] csv = line.askBlock("TOUC:TRAC? " + task, MOST_BYTES, A_TASK);
            return new Told(
                    Double.parseDouble(px[0].strip()),
                    Double.parseDouble(px[1].strip()),
                    new String(csv, StandardCharsets.UTF_8));
        } catch (IOException | NumberFormatException e) {
            throw new NotAllowed("rig", rig.name() + ": " + e.getMessage(), "one that answers: see to it, then again");
        }
    }
}
