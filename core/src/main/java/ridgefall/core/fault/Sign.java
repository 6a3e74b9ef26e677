package ridgefall.core.fault;

/** What a job's own history says before anybody looks. */
public enum Sign {
    ALIVE("sound and charging are as they should be"),
    WORKED_BEFORE("it worked at intake"),
    FAILS_LOOSE("it fails with the front loose, just plugged in"),
    FAILS_SEALED("it worked loose, and fails since the front is down"),
    FAILED_BEFORE("it failed at intake already"),
    FLEX_IN_DANGER("a tool slipped or cut where a flex lies"),
    HOT_SPOT("it got too hot in one place"),
    SOLVENT("solvent ran where it should not"),
    SCREW_LOST("a screw fell inside"),
    STIFF_PLUG("a plug did not go home at first"),
    EARLIER_REPAIR("somebody repaired it before"),
    PLAIN_COPY("the part is a plain copy"),
    ORIGINAL("the part is an original"),
    SECOND_PART("another part failed here before"),
    CAME_BACK("it came back after a repair"),
    ALL_DEAD("nothing answers, by its trace"),
    BAND("dead right across, several lines wide, by its trace"),
    LINE("one line dead right across, by its trace"),
    PATCH("dead in one place, by its trace"),
    GHOSTS("touches with nobody near, by its trace"),
    NO_VOLTAGE("no voltage arrives, by the meter"),
    DRAWS_NOTHING("nothing is drawn, by the meter"),
    VOLTAGE_GIVES("the voltage gives way, by the meter"),
    STARTS_OVER("it starts over and over, by the meter"),
    WAVES("wavy however fast it is drawn, by its trace"),
    PEN_DEAD("no line of the stylus arrives, by its trace"),
    SILENT("its tones are not heard at all"),
    PLUG_OFF("its plug came off in this job"),
    PLUG_UNTOUCHED("its plug was not touched in this job"),
    SHARED_WORKS("what hangs on the same plug works"),
    SHARED_FAILS("what hangs on the same plug fails too"),
    DATA_PROVEN("its data were read back the same"),
    DATA_NOT_PROVEN("its data were never read back the same");

    private final String words;

    Sign(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}
