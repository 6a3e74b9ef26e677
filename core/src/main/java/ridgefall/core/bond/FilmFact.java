package ridgefall.core.bond;

import java.util.List;
import ridgefall.core.bond.Joining.Film;
import ridgefall.core.bond.Joining.Pressed;
import ridgefall.core.job.Entry;
import ridgefall.core.job.FactWords;
import ridgefall.core.job.Timer;
import ridgefall.core.units.Allowed;

/** New glass joined to a panel with a sheet of clear film. */
public sealed interface FilmFact extends JoinFact {
    /** @param supplyId of the shelf */
    record FilmLaid(String supplyId) implements FilmFact {
        @Override
        public void check() {
            Allowed.text("supplyId", supplyId, 60);
        }

        @Override
        public Joining after(Joining before, Entry entry) {
            return before.laid(new Film(Pressed.NOT, List.of(), false));
        }

        @Override
        public String words(FactWords told) {
            return "Clear film rolled onto the glass";
        }
    }

    /** @param seconds of the laminator's cycle */
    record PressedInVacuum(int seconds) implements FilmFact {
        @Override
        public void check() {
            Allowed.between("seconds", seconds, 5, 1800, "s");
        }

        @Override
        public Joining after(Joining before, Entry entry) {
            return before.pressed(Pressed.RUNNING);
        }

        @Override
        public Timer.Change timers() {
            return Timer.Change.start(new Timer.Start(FilmJoin.PRESSING, seconds));
        }

        @Override
        public String words(FactWords told) {
            return "Into the laminator, {s:" + seconds + "}";
        }
    }

    record OutOfTheLaminator() implements FilmFact {
        @Override
        public boolean atAnyTime() {
            return true;
        }

        @Override
        public Joining after(Joining before, Entry entry) {
            return before.pressed(Pressed.DONE);
        }

        @Override
        public Timer.Change timers() {
            return Timer.Change.stop(FilmJoin.PRESSING.id());
        }

        @Override
        public String words(FactWords told) {
            return "Out of the laminator";
        }
    }

    /**
     * How long follows from the bubble.
     *
     * @param acrossMm of the largest bubble that is seen
     * @param kPa over the air outside
     */
    record UnderPressure(double acrossMm, double kPa, double celsius) implements FilmFact {
        @Override
        public void check() {
            Allowed.between("acrossMm", acrossMm, 0.05, 20, "mm");
            Allowed.between("kPa", kPa, 100, 1000, "kPa");
            Allowed.between("celsius", celsius, 20, 60, "°C");
        }

        @Override
        public Joining after(Joining before, Entry entry) {
            return before.underPressure(acrossMm);
        }

        @Override
        public Timer.Change timers() {
            return Timer.Change.start(
                    new Timer.Start(FilmJoin.CHAMBER, OpticalFilm.chamberSeconds(acrossMm, kPa, celsius)));
        }

        @Override
        public Page page() {
            return Page.MEASURED;
        }

        @Override
        public String words(FactWords told) {
            return "Under " + Math.round(kPa) + " kPa at {C:" + celsius + "} for a bubble of {mm:" + acrossMm + "}";
        }
    }

    /** Looked at by low light, out of the chamber. */
    record NoBubbleLeft() implements FilmFact {
        @Override
        public Joining after(Joining before, Entry entry) {
            return before.clear();
        }

        @Override
        public Timer.Change timers() {
            return Timer.Change.stop(FilmJoin.CHAMBER.id());
        }

        @Override
        public String words(FactWords told) {
            return "No bubble left under the glass";
        }
    }
}
