package ridgefall.core.parts;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import ridgefall.core.decide.Piece;
import ridgefall.core.job.Entry;
import ridgefall.core.job.Fact;
import ridgefall.core.job.FactWords;
import ridgefall.core.job.Family;
import ridgefall.core.job.Role;
import ridgefall.core.job.Station;
import ridgefall.core.profile.Brings;
import ridgefall.core.profile.Grade;
import ridgefall.core.profile.PartKind;
import ridgefall.core.units.Allowed;
import ridgefall.core.units.Money;

/** Which part goes into this job. Most move a piece from hand to hand, so none is taken back as a mis-tap. */
public sealed interface PartsFact extends Fact.Of<PartsState> {
    Family<PartsState> FAMILY = new Family<>(PartsFact.class, PartsState.NOTHING, PartsState::hears);

    @Override
    default Family<PartsState> family() {
        return FAMILY;
    }

    @Override
    default Optional<Station> station() {
        return Optional.of(Station.PARTS);
    }

    @Override
    default boolean canBeTakenBack() {
        return false;
    }

    /** One piece of a stock row is this job's now; what it brings is written down as it was then. */
    record PartReserved(UUID stockId, PartKind kind, Grade grade, String words, List<Brings> brings)
            implements PartsFact {
        public PartReserved {
            brings = brings == null ? null : List.copyOf(brings);
        }

        static PartReserved of(Piece piece) {
            return new PartReserved(piece.stockId(), piece.kind(), piece.grade(), piece.words(), piece.brings());
        }

        public Piece piece() {
            return new Piece(stockId, kind, grade, words, brings);
        }

        /** Whoever sells it keeps it for the job. */
        @Override
        public Role by() {
            return Role.DESK;
        }

        @Override
        public void check() {
            piece().check();
        }

        @Override
        public PartsState after(PartsState before, Entry entry) {
            return before.with(this);
        }

        @Override
        public String words(FactWords told) {
            return "Taken off the shelf: " + words;
        }
    }

    /** Back on the shelf. */
    record PartReturned(UUID stockId) implements PartsFact {
        @Override
        public Role by() {
            return Role.DESK;
        }

        @Override
        public void check() {
            Allowed.present("stockId", stockId);
        }

        @Override
        public PartsState after(PartsState before, Entry entry) {
            return before.without(stockId);
        }

        @Override
        public String words(FactWords told) {
            return "A part went back to the shelf";
        }
    }

    /**
     * What is needed is on its way.
     *
     * @param stepId of the step that asked for it
     * @param due null where nobody said when
     * @param price null where it is not known yet
     * @param why one is ordered although one lies on the shelf; null where none does
     */
    record PartOrdered(String stepId, String supplier, LocalDate due, BigDecimal price, String currency, String why)
            implements PartsFact {
        public PartOrdered(String stepId, String supplier, LocalDate due, BigDecimal price, String currency) {
            this(stepId, supplier, due, price, currency, null);
        }

        public PartOrdered {
            price = price == null ? null : Money.toTheHundredth(price);
        }

        @Override
        public void check() {
            Allowed.text("stepId", stepId, 60);
            Allowed.text("supplier", supplier, 80);
            Allowed.optionalText("why", why, 120);
            if (price != null) {
                Money.of("price", price, currency);
            }
        }

        @Override
        public PartsState after(PartsState before, Entry entry) {
            return before.ordered(this);
        }

        @Override
        public Set<String> answers() {
            return Set.of(stepId);
        }

        @Override
        public boolean voids(String id) {
            return id.equals(stepId);
        }

        @Override
        public Role by() {
            return Role.DESK;
        }

        /** No piece has changed hands yet. */
        @Override
        public boolean canBeTakenBack() {
            return true;
        }

        @Override
        public String words(FactWords told) {
            return "Ordered: " + told.title(stepId) + ", " + where()
                    + (why == null || why.isBlank() ? "" : "; not the one on the shelf: " + why);
        }

        /** From whom, for when and for how much. */
        public String where() {
            return supplier
                    + (due == null ? "" : ", due {day:" + due + "}")
                    + (price == null ? "" : ", " + price + " " + currency);
        }
    }

    /** What was ordered is here. */
    record PartArrived(String stepId) implements PartsFact {
        @Override
        public void check() {
            Allowed.text("stepId", stepId, 60);
        }

        @Override
        public PartsState after(PartsState before, Entry entry) {
            return before.arrived(stepId);
        }

        @Override
        public Set<String> answers() {
            return Set.of(stepId);
        }

        @Override
        public Role by() {
            return Role.DESK;
        }

        /** No piece has changed hands yet. */
        @Override
        public boolean canBeTakenBack() {
            return true;
        }

        @Override
        public String words(FactWords told) {
            return "Has come: " + told.title(stepId);
        }
    }

    /** Why a part goes to the returns. */
    enum Bad {
        DEAD_ON_ARRIVAL("dead on arrival"),
        DEAD_AT_TEST("dead at the test"),
        WRONG_VARIANT("the wrong variant"),
        DAMAGED_HERE("damaged by us");

        private final String words;

        Bad(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /**
     * A part goes to the returns and another takes its place: what depended on it is asked again.
     *
     * @param stockId its row of the stock; null for one bought for this job
     * @param pluggedIn whether it hangs on its plugs with the battery back in circuit
     */
    record PartSwapped(PartKind kind, UUID stockId, Bad why, String words, boolean pluggedIn) implements PartsFact {
        @Override
        public void check() {
            Allowed.present("kind", kind);
            Allowed.present("why", why);
            Allowed.optionalText("words", words, 200);
        }

        @Override
        public PartsState after(PartsState before, Entry entry) {
            return before.swapped(this, entry);
        }

        /** Whether what moves over and what seals lies on it. */
        public boolean front() {
            return switch (kind) {
                case PANEL, OPTICAL_LIQUID, DIE_CUT_ADHESIVE -> false;
                default -> true;
            };
        }

        @Override
        public boolean voids(String id) {
            return Stream.of("parts.", "carry.new-", "test.", "open.", "seal.").anyMatch(id::startsWith)
                    || front() && Stream.of("carry.look-", "carry.insulated-").anyMatch(id::startsWith)
                    || front() && id.startsWith("bond.")
                    || pluggedIn && id.equals("heat.battery-out");
        }

        @Override
        public String words(FactWords told) {
            return "To the returns: " + kind.words() + ", " + why.words()
                    + (words == null || words.isBlank() ? "" : " (" + words + ")");
        }
    }

    /** The owner takes the part that lies there although another grade was agreed, for the price that was. */
    record DifferenceAgreed(Grade taken, String agreedBy) implements PartsFact {
        @Override
        public void check() {
            Allowed.present("taken", taken);
            Allowed.text("agreedBy", agreedBy, 80);
        }

        @Override
        public PartsState after(PartsState before, Entry entry) {
            return before.agreedAfterAll(taken);
        }

        @Override
        public Optional<String> ownersField() {
            return Optional.of("agreedBy");
        }

        @Override
        public boolean canBeTakenBack() {
            return true;
        }

        @Override
        public Role by() {
            return Role.DESK;
        }

        @Override
        public String words(FactWords told) {
            return "Agreed after all: " + taken.words() + ", by " + agreedBy;
        }
    }
}
