package ridgefall.core.carry;

import java.util.Optional;
import java.util.stream.Stream;
import ridgefall.core.job.Entry;
import ridgefall.core.job.Fact;
import ridgefall.core.job.FactWords;
import ridgefall.core.job.Family;
import ridgefall.core.job.Role;
import ridgefall.core.job.Station;
import ridgefall.core.profile.ProfileDocument;
import ridgefall.core.units.Allowed;

/** What moves from the old front to the new one, or does not. */
public sealed interface CarryFact extends Fact.Of<CarryState>
        permits CarryFact.CarriedOver,
                CarryFact.CarryOverLost,
                CarryFact.CarryOverDeclined,
                CarryFact.JointMeasured,
                CopyFact {
    Family<CarryState> FAMILY = new Family<>(CarryFact.class, CarryState.NOTHING, CarryState::hears);

    String partId();

    @Override
    default Family<CarryState> family() {
        return FAMILY;
    }

    @Override
    default Optional<Station> station() {
        return Optional.of(Station.CARRY);
    }

    record CarriedOver(String partId) implements CarryFact {
        @Override
        public void check() {
            Allowed.text("partId", partId, 40);
        }

        @Override
        public CarryState after(CarryState before, Entry entry) {
            return before.moved(partId);
        }

        /** What was soldered anew is insulated anew. */
        @Override
        public boolean voids(String id) {
            return id.equals(CarryStation.INSULATED + partId);
        }

        @Override
        public String words(FactWords told) {
            return part(partId, told) + " carried over";
        }
    }

    /** The feature that hangs on this part is given up, and why. */
    record CarryOverLost(String partId, String reason) implements CarryFact {
        @Override
        public boolean atAnyTime() {
            return true;
        }

        @Override
        public void check() {
            Allowed.text("partId", partId, 40);
            Allowed.text("reason", reason, 200);
        }

        @Override
        public CarryState after(CarryState before, Entry entry) {
            return before.lost(partId, reason);
        }

        @Override
        public String words(FactWords told) {
            return part(partId, told) + " lost" + FactWords.because(reason);
        }
    }

    /** The owner does without what hangs on this part, and who signed that. */
    record CarryOverDeclined(String partId, String signedBy) implements CarryFact {
        @Override
        public boolean atAnyTime() {
            return true;
        }

        @Override
        public void check() {
            Allowed.text("partId", partId, 40);
            Allowed.text("signedBy", signedBy, 80);
        }

        @Override
        public CarryState after(CarryState before, Entry entry) {
            return before.lost(partId, "given up by the owner, signed by " + signedBy);
        }

        @Override
        public Optional<String> ownersField() {
            return Optional.of("signedBy");
        }

        /** The owner signs at the desk. */
        @Override
        public Role by() {
            return Role.DESK;
        }

        @Override
        public Page page() {
            return Page.SIGNED_OFF;
        }

        @Override
        public String words(FactWords told) {
            return part(partId, told) + " given up by the owner, signed by " + signedBy;
        }
    }

    /**
     * A soldered joint of a board that moved, measured from the board to where it leads.
     *
     * @param ohm as read, leads and all; {@link #NO_CONTACT_OHM} where the meter shows nothing
     */
    record JointMeasured(String partId, String jointId, double ohm) implements CarryFact {
        @Override
        public boolean atAnyTime() {
            return true;
        }

        public static final double NO_CONTACT_OHM = 1_000_000;

        @Override
        public void check() {
            Allowed.text("partId", partId, 40);
            Allowed.text("jointId", jointId, 40);
            Allowed.between("ohm", ohm, 0, NO_CONTACT_OHM, "ohm");
        }

        @Override
        public CarryState after(CarryState before, Entry entry) {
            return before.measured(partId, jointId, ohm);
        }

        @Override
        public Page page() {
            return Page.MEASURED;
        }

        @Override
        public String words(FactWords told) {
            String joint = told.profile().pairedParts().stream()
                    .filter(part -> part.id().equals(partId))
                    .flatMap(part -> part.joints().stream())
                    .filter(one -> one.id().equals(jointId))
                    .map(ProfileDocument.Joint::words)
                    .findFirst()
                    .orElse(jointId);
            return "Joint " + joint + ": " + read(ohm);
        }

        /** As a meter shows it. */
        public static String read(double ohm) {
            return ohm >= NO_CONTACT_OHM ? "no contact" : ohm + " Ω";
        }
    }

    /** What the device's book calls what moves. */
    static String part(String id, FactWords told) {
        return FactWords.name(
                id,
                Stream.of(
                                told.profile().carryOvers().stream().map(p -> new String[] {p.id(), p.words()}),
                                told.profile().pairedParts().stream().map(p -> new String[] {p.id(), p.words()}),
                                Stream.<String[]>of(new String[] {CarryStation.PANEL, "Panel"}))
                        .flatMap(some -> some),
                pair -> pair[0],
                pair -> pair[1]);
    }
}
