package ridgefall.core.damage;

import java.util.Optional;
import ridgefall.core.job.Entry;
import ridgefall.core.job.Fact;
import ridgefall.core.job.FactWords;
import ridgefall.core.job.Family;
import ridgefall.core.job.Station;
import ridgefall.core.profile.PlaceWords;
import ridgefall.core.units.Allowed;

/** What went wrong at the bench, at whatever station. */
public sealed interface DamageFact extends Fact.Of<DamageState> {
    Family<DamageState> FAMILY = new Family<>(DamageFact.class, DamageState.NOTHING, DamageState::hears);

    @Override
    default Family<DamageState> family() {
        return FAMILY;
    }

    @Override
    default Optional<Station> station() {
        return Optional.empty();
    }

    @Override
    default Page page() {
        return Page.WENT_WRONG;
    }

    enum Mishap {
        SLIP("Slip"),
        NEW_CRACK("New crack"),
        CUT("Cut something"),
        TOO_DEEP("Went too deep"),
        PICK_LOST("Pick fell out"),
        SCREW_DROPPED("Dropped screw"),
        CLIP_BROKEN("Broken clip"),
        HOT_SPOT("Hot spot"),
        SOLVENT_SPILLED("Solvent spilled");

        private final String words;

        Mishap(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /**
     * One tap when something goes wrong.
     *
     * @param positionMm along the edge, where it was pointed at or what was in hand lies there; else null
     * @param stepId what was in hand; null in journals from before that was asked
     */
    record MishapSeen(Mishap mishap, Double positionMm, String stepId) implements DamageFact {
        public MishapSeen(Mishap mishap, Double positionMm) {
            this(mishap, positionMm, null);
        }

        @Override
        public void check() {
            Allowed.present("mishap", mishap);
            onAnEdge(positionMm);
            Allowed.optionalText("stepId", stepId, 60);
        }

        @Override
        public DamageState after(DamageState before, Entry entry) {
            return before.with(new DamageState.Noted(entry.seq(), entry.happenedAt(), entry.who(), this, null));
        }

        @Override
        public String words(FactWords told) {
            return mishap.words()
                    + (positionMm == null ? "" : ", " + PlaceWords.at(told.profile(), positionMm))
                    + (stepId == null || told.title(stepId).equals(stepId) ? "" : ", at “" + told.title(stepId) + "”");
        }
    }

    /** It happened elsewhere along the edge; {@code seq} is the number of the mishap's fact. */
    record MishapPlaced(long seq, double positionMm) implements DamageFact {
        @Override
        public void check() {
            Allowed.between("seq", (double) seq, 1, 1_000_000, "(a mishap of this job)");
            onAnEdge(positionMm);
        }

        @Override
        public DamageState after(DamageState before, Entry entry) {
            return before.placed(seq, positionMm);
        }

        @Override
        public String words(FactWords told) {
            return "It was at the " + PlaceWords.at(told.profile(), positionMm) + ": " + told.say(seq);
        }
    }

    /** What there is to say about it. */
    record MishapTold(long seq, String words) implements DamageFact {
        @Override
        public void check() {
            Allowed.between("seq", (double) seq, 1, 1_000_000, "(a mishap of this job)");
            Allowed.text("words", words, 300);
        }

        @Override
        public DamageState after(DamageState before, Entry entry) {
            return before.told(seq, words);
        }

        @Override
        public String words(FactWords told) {
            return told.say(seq) + ": " + words;
        }
    }

    private static void onAnEdge(Double positionMm) {
        if (positionMm != null) {
            Allowed.between("positionMm", positionMm, 0, 4000, "mm along the edge");
        }
    }
}
