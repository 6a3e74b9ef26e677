package ridgefall.core.test;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.test.TouchFinding.Weight;
import ridgefall.core.units.Allowed;

/** What a device's own page told of one look: measured where its browser measures, else said by the hand that held it. */
public sealed interface Looked {
    /** A tone that its microphone hears stands out so far from the silence before, dB; less than half of it is none. */
    double HEARD_DB = 12;

    /** A lens that is covered is darker by so much of 255. */
    double COVERED = 25;

    /** Below that a picture is one colour: a lens under film, or none. */
    double CONTRAST = 3;

    /** From flat to upright is a right angle; so much of it is enough, degrees. */
    double TILTED_DEG = 60;

    /** A sensor that is alive is never as still as that. */
    double STUCK_DEG = 0.5;

    Look look();

    /** Empty where nobody can say. */
    Optional<Boolean> works();

    /** For the journal, with places as the hand finds them. */
    String words(DeviceProfile profile);

    /**
     * Fields of one colour, full screen.
     *
     * @param fields how many were looked at
     * @param spots where something was seen
     */
    record Picture(int fields, List<Spot> spots) implements Looked {
        /** All of them, or what was not seen may be there. */
        public static final int FIELDS = 7;

        private static final int MOST = 40;

        public Picture {
            Allowed.between("fields", fields, 0, FIELDS, "fields");
            Allowed.between("spots", Allowed.present("spots", spots).size(), 0, MOST, "spots");
            spots = List.copyOf(spots);
        }

        @Override
        public Look look() {
            return Look.PICTURE;
        }

        @Override
        public Optional<Boolean> works() {
            return !spots.isEmpty() ? Optional.of(false) : fields == FIELDS ? Optional.of(true) : Optional.empty();
        }

        @Override
        public String words(DeviceProfile profile) {
            if (spots.isEmpty()) {
                return "its own picture: " + fields + " of " + FIELDS + " fields even";
            }
            return spots.stream().limit(3).map(spot -> spot.words(profile)).collect(Collectors.joining("; "))
                    + (spots.size() > 3 ? "; " + (spots.size() - 3) + " more" : "");
        }
    }

    /**
     * @param x share of the width, from the left; {@code y} of the height, from the top
     * @param field its colour, in words
     */
    record Spot(double x, double y, String field) {
        public Spot {
            Allowed.between("x", x, 0, 1, "");
            Allowed.between("y", y, 0, 1, "");
            Allowed.text("field", field, 20);
        }

        String words(DeviceProfile profile) {
            double widthMm = profile.edge().widthMm();
            double heightMm = profile.edge().heightMm();
            return "seen on " + field + ", " + from(x, widthMm, "left", "right") + ", "
                    + from(y, heightMm, "top", "bottom");
        }

        private static String from(double share, double mm, String near, String far) {
            return share <= 0.5
                    ? "{mm:" + Math.round(share * mm) + "} from the " + near
                    : "{mm:" + Math.round((1 - share) * mm) + "} from the " + far;
        }
    }

    /**
     * Lines with the stylus, at two speeds.
     *
     * @param done whether all of them were drawn
     */
    record Stylus(boolean done, List<TouchFinding> findings) implements Looked {
        @Override
        public Look look() {
            return Look.STYLUS;
        }

        @Override
        public Optional<Boolean> works() {
            if (findings.stream().anyMatch(it -> it.weight() == Weight.BAD)) {
                return Optional.of(false);
            }
            return done && findings.isEmpty() ? Optional.of(true) : Optional.empty();
        }

        @Override
        public String words(DeviceProfile profile) {
            return findings.isEmpty()
                    ? "its own lines are straight, slow and fast"
                    : findings.stream().map(TouchFinding::words).collect(Collectors.joining("; "));
        }
    }

    /** @param dims whether the picture got darker with a hand over its sensor, as the hand says */
    record Light(boolean dims) implements Looked {
        @Override
        public Look look() {
            return Look.LIGHT;
        }

        @Override
        public Optional<Boolean> works() {
            return Optional.of(dims);
        }

        @Override
        public String words(DeviceProfile profile) {
            return dims ? "dims under a hand" : "does not dim under a hand";
        }
    }

    /**
     * Three tones, played by the device.
     *
     * @param quietDb what its own microphone heard at their pitch before, {@code toneDb} meanwhile; null where it may not listen
     * @param heard what an ear says; null where the microphone told
     */
    record Sound(Double quietDb, Double toneDb, Boolean heard) implements Looked {
        public Sound {
            if (heard == null) {
                Allowed.between("quietDb", Allowed.present("quietDb", quietDb), -200, 0, "dB");
                Allowed.between("toneDb", Allowed.present("toneDb", toneDb), -200, 0, "dB");
            }
        }

        @Override
        public Look look() {
            return Look.SOUND;
        }

        @Override
        public Optional<Boolean> works() {
            if (heard != null) {
                // An ear tells of the loudspeaker only: nobody says that the microphone works.
                return heard ? Optional.empty() : Optional.of(false);
            }
            double risenDb = toneDb - quietDb;
            return risenDb >= HEARD_DB
                    ? Optional.of(true)
                    : risenDb < HEARD_DB / 2 ? Optional.of(false) : Optional.empty();
        }

        @Override
        public String words(DeviceProfile profile) {
            if (heard != null) {
                return heard ? "tones heard by ear; its microphone was not asked" : "tones not heard by ear";
            }
            return works().equals(Optional.of(false))
                    ? "its own microphone does not hear its tones"
                    : String.format(
                            Locale.ROOT,
                            "its own tones at its own microphone: %.0f dB over the silence",
                            toneDb - quietDb);
        }
    }

    /**
     * Its front camera's picture, 0–255.
     *
     * @param open how bright, with nothing before it; {@code covered} with a finger on the lens
     * @param contrast how far its points are from one another, as a standard deviation
     * @param seen what an eye says of its picture; null where it was measured
     */
    record Camera(Double open, Double covered, Double contrast, Boolean seen) implements Looked {
        public Camera {
            if (seen == null) {
                Allowed.between("open", Allowed.present("open", open), 0, 255, "");
                Allowed.between("covered", Allowed.present("covered", covered), 0, 255, "");
                Allowed.between("contrast", Allowed.present("contrast", contrast), 0, 128, "");
            }
        }

        @Override
        public Look look() {
            return Look.CAMERA;
        }

        @Override
        public Optional<Boolean> works() {
            if (seen != null) {
                return Optional.of(seen);
            }
            if (contrast < CONTRAST) {
                return Optional.of(false);
            }
            // Nobody covered it, or it looked into the dark: that is no fault of the camera's.
            return open - covered >= COVERED ? Optional.of(true) : Optional.empty();
        }

        @Override
        public String words(DeviceProfile profile) {
            if (seen != null) {
                return seen ? "its picture seen by eye" : "no picture, by eye";
            }
            return contrast < CONTRAST
                    ? "its picture is one grey"
                    : String.format(Locale.ROOT, "its picture: %.0f of 255 bright, %.0f under a finger", open, covered);
        }
    }

    /**
     * Laid flat, then stood upright.
     *
     * @param tiltedDeg by how much its own sensor says that it was tilted; null where the browser tells nothing of it
     * @param turned whether its picture turned with it, as an eye says; null where the sensor told
     */
    record Motion(Double tiltedDeg, Boolean turned) implements Looked {
        public Motion {
            if (turned == null) {
                Allowed.between("tiltedDeg", Allowed.present("tiltedDeg", tiltedDeg), 0, 180, "°");
            }
        }

        @Override
        public Look look() {
            return Look.MOTION;
        }

        @Override
        public Optional<Boolean> works() {
            if (turned != null) {
                return Optional.of(turned);
            }
            // Between the two nobody stood it up: that is no fault of the sensor's.
            return tiltedDeg >= TILTED_DEG
                    ? Optional.of(true)
                    : tiltedDeg < STUCK_DEG ? Optional.of(false) : Optional.empty();
        }

        @Override
        public String words(DeviceProfile profile) {
            if (turned != null) {
                return turned ? "its picture turns with it, by eye" : "its picture does not turn with it, by eye";
            }
            return String.format(Locale.ROOT, "its own sensor: tilted by %.0f°", tiltedDeg);
        }
    }
}
