package ridgefall.core.fault;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import ridgefall.core.fault.FaultTable.Cause;
import ridgefall.core.fault.FaultTable.Check;
import ridgefall.core.fault.FaultTable.Complaint;
import ridgefall.core.fault.FaultTable.Kind;
import ridgefall.core.fault.FaultTable.SignChances;

/** The table as it ships: common practice of the trade, not measured. */
public final class UsualFaults {
    /** Only where the old front did it when it came in. */
    static final String OLD = "old";

    /**
     * A complaint begins a block, with the functions it is about. A cause has its kind and its weight; a check has what it is, its
     * minutes, and how likely it turns out bad under each cause, in their order. {@code =} marks what can be done on a sealed device;
     * a look has two answers, the good one first.
     */
    private static final String COMPLAINTS = """
            picture  | No picture, lines or spots | picture
            cause    | plug    | a plug not home              | PLUG        | 0.30
            cause    | dirt    | glue or dirt on its contacts | DIRT        | 0.09
            cause    | pinched | a flex pinched or folded     | LEFT_BEHIND | 0.10
            cause    | torn    | a torn flex                  | FLEX        | 0.12
            cause    | part    | the new part                 | PART        | 0.16
            cause    | asleep  | flat or hung, not dead       | CELL        | 0.13
            cause    | board   | the board                    | BOARD       | 0.10
            look  =  | lines    | Does anything show: lines, flicker, half a picture?      | 0.3 | 0.12 0.30 0.40 0.35 0.55 0.02 0.15 | All dark | Lines or flicker
            look  =  | sounds   | Does it sound or buzz when it is switched on?            | 0.5 | 0.12 0.06 0.08 0.08 0.06 0.85 0.60 | It does | Not a sound
            mend  =  | restart | On the charger, forced to start anew                     | 2   | 0.96 0.96 0.96 0.96 0.96 0.08 0.96
            look  =  | press   | Press lightly where its plug lies: does anything change? | 0.5 | 0.60 0.35 0.40 0.25 0.05 0.05 0.05 | Nothing | It comes and goes
            look     | old     | Plug the old front in, loose: is it dark too?            | 3   | 0.35 0.30 0.85 0.90 0.94 0.06 0.06 | Dark too | Works with the old one
            look     | flex    | Look along its flex with a lens                          | 2   | 0.05 0.05 0.75 0.85 0.05 0.05 0.05 | Sound | Folded or torn
            mend     | reseat  | Reseat its plugs, battery out of circuit                 | 3   | 0.10 0.70 0.95 0.95 0.95 0.95 0.95
            mend     | contacts| Contacts wiped with alcohol, dry, home again             | 5   | 0.12 0.10 0.95 0.95 0.95 0.95 0.95
            mend     | relay   | Lay its flex anew, flat, clear of the frame              | 6   | 0.15 0.70 0.15 0.85 0.95 0.95 0.95
            swap     | swap    | Swap the part                                            | 15  | 0.12 0.40 0.10 0.06 0.05 0.95 0.95

            touch    | Touch dead, wild or wavy | touch
            cause    | plug    | a plug not home                  | PLUG        | 0.26
            cause    | dirt    | glue or dirt on its contacts     | DIRT        | 0.09
            cause    | pinched | a flex pinched or folded         | LEFT_BEHIND | 0.11
            cause    | torn    | a torn flex                      | FLEX        | 0.11
            cause    | part    | the new part                     | PART        | 0.20
            cause    | film    | film, damp or the charger        | OUTSIDE     | 0.12
            cause    | hung    | it hangs since the front was off | CELL        | 0.06
            cause    | board   | the board                        | BOARD       | 0.05
            mend  =  | wipe    | Off the charger, outer film off, wiped dry               | 1   | 0.96 0.96 0.96 0.96 0.96 0.10 0.96 0.96
            mend  =  | restart | Switched off and on again                                | 2   | 0.96 0.96 0.96 0.96 0.96 0.96 0.08 0.96
            look  =  | press   | Press lightly where its plug lies: does anything change? | 0.5 | 0.55 0.35 0.40 0.25 0.05 0.05 0.05 0.05 | Nothing | It comes and goes
            look     | old     | Plug the old front in, loose: does it fail there too?    | 3   | 0.35 0.30 0.85 0.90 0.94 0.30 0.06 0.06 | Fails there too | Works with the old one
            look     | flex    | Look along its flex with a lens                          | 2   | 0.05 0.05 0.75 0.85 0.05 0.05 0.05 0.05 | Sound | Folded or torn
            mend     | reseat  | Reseat its plugs, battery out of circuit                 | 3   | 0.10 0.70 0.95 0.95 0.95 0.95 0.15 0.95
            mend     | contacts| Contacts wiped with alcohol, dry, home again             | 5   | 0.12 0.10 0.95 0.95 0.95 0.95 0.15 0.95
            mend     | relay   | Lay its flex anew, flat, clear of the frame              | 6   | 0.15 0.70 0.15 0.85 0.95 0.95 0.15 0.95
            swap     | swap    | Swap the part                                            | 15  | 0.12 0.40 0.10 0.06 0.05 0.80 0.15 0.95

            stylus   | Stylus dead or wavy | stylus
            cause    | data    | its data are not the old front's         | DATA        | 0.32
            cause    | left    | a shield or magnet left behind or turned | LEFT_BEHIND | 0.18
            cause    | part    | the new part                             | PART        | 0.16
            cause    | plug    | a plug not home                          | PLUG        | 0.14
            cause    | stylus  | the stylus: its tip, its charge          | OUTSIDE     | 0.13
            cause    | board   | the board                                | BOARD       | 0.07
            mend  =  | other   | Another stylus, or a new tip and a full charge           | 1   | 0.96 0.96 0.96 0.96 0.05 0.96
            look  =  | press   | Press lightly where its plug lies: does anything change? | 0.5 | 0.05 0.05 0.05 0.55 0.05 0.05 | Nothing | It comes and goes
            mend     | reseat  | Reseat its plugs, battery out of circuit                 | 3   | 0.95 0.95 0.95 0.10 0.95 0.95
            look     | carried | Look over what was carried over                          | 2   | 0.05 0.90 0.05 0.05 0.05 0.05 | All there, the right way | Missing or turned
            mend     | refit   | Put back what was left behind or turned                  | 6   | 0.96 0.08 0.96 0.60 0.96 0.96
            copy     | copy    | Back to carry over: copy its data anew                   | 8   | 0.05 0.95 0.95 0.30 0.95 0.95
            swap     | swap    | Swap the part                                            | 15  | 0.90 0.50 0.05 0.12 0.95 0.95

            charge   | Charges weakly or not at all | charge
            cause    | charger | charger or cable                       | OUTSIDE     | 0.22
            cause    | dirt    | lint or damp in the socket             | DIRT        | 0.20
            cause    | plug    | the battery's plug or contact not home | PLUG        | 0.24
            cause    | socket  | a bent or worn socket                  | PART        | 0.08
            cause    | cell    | a tired cell                           | CELL        | 0.16
            cause    | board   | the board                              | BOARD       | 0.10
            look  =  | wiggle  | Move the cable in its socket: does the current jump? | 0.5 | 0.20 0.65 0.08 0.80 0.08 0.08 | Steady | Jumps
            look  =  | meter   | Read the current with a meter between                | 1   | 0.85 0.60 0.75 0.55 0.12 0.50 | As it should be, and falls again | Next to nothing
            mend  =  | other   | Another charger and another cable                    | 1   | 0.05 0.88 0.96 0.85 0.96 0.96
            mend  =  | clean   | Clean the socket: wood or plastic, device off        | 3   | 0.96 0.10 0.96 0.85 0.96 0.96
            mend     | reseat  | Reseat the battery's plug or contacts                | 3   | 0.96 0.96 0.08 0.96 0.96 0.96
            look  =  | cell    | Read the cell: what it holds of its charge           | 3   | 0.08 0.08 0.08 0.08 0.85 0.15 | Holds its charge | Tired
            quote    | new-cell| A new cell                                           | 20  | 0.95 0.95 0.10 0.95 0.05 0.95
            quote    | new-socket| A new charging socket                                | 25  | 0.95 0.10 0.60 0.06 0.95 0.95

            key      | A key does nothing | home finger keys crown
            cause    | plug    | its plug not home                 | PLUG        | 0.32
            cause    | dirt    | glue or dirt on its contacts      | DIRT        | 0.10
            cause    | torn    | its flex torn                     | FLEX        | 0.20
            cause    | crooked | set in crooked, it does not press | LEFT_BEHIND | 0.24
            cause    | stranger| not the device's own key          | DATA        | 0.06
            cause    | board   | the board                         | BOARD       | 0.08
            look  =  | feel    | Press it: does it click and come back?                   | 0.3 | 0.06 0.06 0.06 0.80 0.06 0.06 | Clicks | Sticks or sits crooked
            look  =  | press   | Press lightly where its plug lies: does anything change? | 0.5 | 0.50 0.35 0.25 0.05 0.05 0.05 | Nothing | It comes and goes
            mend     | reseat  | Reseat its plug, battery out of circuit                  | 3   | 0.10 0.70 0.95 0.95 0.95 0.95
            mend     | contacts| Contacts wiped with alcohol, dry, home again             | 5   | 0.12 0.10 0.95 0.95 0.95 0.95
            look     | flex    | Look along its flex with a lens                          | 2   | 0.06 0.06 0.85 0.06 0.06 0.06 | Sound | Torn or creased
            mend     | refit   | Take it out and set it in anew, the device's own one     | 8   | 0.12 0.50 0.90 0.08 0.10 0.95
            quote    | new-key | A new key, where the device takes one                    | 20  | 0.12 0.40 0.06 0.10 0.50 0.95

            camera   | Camera hazy or dark | camera
            cause    | film    | film, dust or a print before the lens  | DIRT        | 0.50
            cause    | left    | its holder or seal not in place        | LEFT_BEHIND | 0.20
            cause    | plug    | its plug not home                      | PLUG        | 0.20
            cause    | board   | camera or board                        | BOARD       | 0.10
            mend  =  | wipe    | Film off, glass wiped, seen against a lamp               | 1  | 0.35 0.95 0.95 0.95
            mend     | refit   | Lens wiped from inside, holder set in anew               | 5  | 0.10 0.10 0.90 0.95
            mend     | reseat  | Reseat its plug, battery out of circuit                  | 3  | 0.95 0.95 0.10 0.95
            quote    | new-camera | A new camera                                          | 20 | 0.50 0.20 0.12 0.40

            sensor   | A sensor does not see | light pulse
            cause    | left    | not carried over, or beside its window  | LEFT_BEHIND | 0.45
            cause    | film    | film, tape or ink before it             | DIRT        | 0.25
            cause    | plug    | its plug not home                       | PLUG        | 0.20
            cause    | board   | the board                               | BOARD       | 0.10
            mend  =  | wipe    | Film off, window wiped, tried under a lamp and covered   | 1 | 0.95 0.40 0.95 0.95
            look  =  | window  | Look through its window: is it centred?                  | 1 | 0.85 0.20 0.05 0.05 | Centred | Beside it
            mend     | refit   | Set it in anew, centred, nothing before it               | 6 | 0.10 0.15 0.20 0.95
            mend     | reseat  | Reseat its plug, battery out of circuit                  | 3 | 0.95 0.95 0.10 0.95

            sound    | Sound or microphone weak | sound microphone
            cause    | outside | film or a print over its mesh       | OUTSIDE     | 0.20
            cause    | inside  | tape or glue over its mesh inside   | LEFT_BEHIND | 0.24
            cause    | plug    | its plug or spring contact not home | PLUG        | 0.26
            cause    | dirt    | shards or dust in it                | DIRT        | 0.10
            cause    | torn    | its flex torn                       | FLEX        | 0.10
            cause    | board   | the board                           | BOARD       | 0.10
            look  =  | lamp    | A lamp on its mesh and window: is anything over it? | 0.5 | 0.85 0.60 0.06 0.30 0.06 0.06 | Clear | Covered
            mend  =  | mesh    | Clear its mesh and window: wood, never a needle     | 2   | 0.08 0.96 0.96 0.60 0.96 0.96
            look  =  | press   | Press lightly over it: does it come and go?         | 0.5 | 0.05 0.05 0.60 0.05 0.30 0.05 | Nothing | It comes and goes
            mend     | reseat  | Reseat its plug or springs, battery out of circuit  | 3   | 0.95 0.95 0.10 0.95 0.95 0.95
            look     | flex    | Look along its flex with a lens                     | 2   | 0.05 0.05 0.05 0.05 0.85 0.05 | Sound | Torn or creased
            mend     | inside  | Tape, glue and shards off its mesh from inside      | 6   | 0.95 0.08 0.60 0.15 0.95 0.95
            quote    | new-sound| A new loudspeaker or microphone                     | 20  | 0.95 0.40 0.12 0.15 0.06 0.95

            pay      | Does not pay at a reader | pay
            cause    | plug    | its plug or joint not home                    | PLUG        | 0.40
            cause    | left    | its board not moved over, or not this device's | LEFT_BEHIND | 0.30
            cause    | reader  | the reader, or held beside it                 | OUTSIDE     | 0.20
            cause    | board   | the board                                     | BOARD       | 0.10
            mend  =  | other   | Another reader, moved about on it, screen awake          | 2  | 0.95 0.95 0.10 0.95
            mend     | reseat  | Reseat its plug, its joints measured                     | 5  | 0.10 0.90 0.95 0.95
            mend     | refit   | Its own board back on: joints soldered anew              | 25 | 0.12 0.10 0.95 0.95

            reception | Reception weak or none | reception
            cause    | plug    | the coax not snapped on             | PLUG        | 0.60
            cause    | left    | the antenna torn or left behind     | LEFT_BEHIND | 0.22
            cause    | outside | the place, the card or the network  | OUTSIDE     | 0.10
            cause    | board   | the board                           | BOARD       | 0.08
            mend  =  | other   | By the window, another card in it                        | 2  | 0.95 0.95 0.10 0.95
            mend     | reseat  | Coax off and on again: it snaps, and does not turn off   | 3  | 0.08 0.90 0.95 0.95
            mend     | refit   | Antenna looked at, moved over, contacts bright           | 10 | 0.12 0.10 0.95 0.95

            card     | Memory card is not read | card
            cause    | card    | the card, or it is not home  | OUTSIDE | 0.55
            cause    | slot    | a bent contact in its slot   | DIRT    | 0.25
            cause    | board   | the board                    | BOARD   | 0.20
            mend  =  | other   | Another card, pushed home until it clicks                | 1  | 0.08 0.90 0.95
            look  =  | slot    | Look into the slot with a lens                           | 2  | 0.05 0.80 0.05 | Contacts even | One is bent
            quote    | new-slot | A new slot                                              | 25 | 0.30 0.08 0.85

            other    | Something else fails |
            cause    | plug    | a plug not home | PLUG  | 0.50
            cause    | flex    | a torn flex     | FLEX  | 0.25
            cause    | part    | the new part    | PART  | 0.15
            cause    | board   | the board       | BOARD | 0.10
            look  =  | press   | Press lightly where its plug lies: does anything change? | 0.5 | 0.60 0.25 0.04 0.04 | Nothing | It comes and goes
            mend     | reseat  | Reseat its plugs, battery out of circuit                 | 3   | 0.10 0.95 0.95 0.95
            look     | flex    | Look along its flex with a lens                          | 2   | 0.05 0.85 0.05 0.05 | Sound | Torn or creased
            swap     | swap    | Swap the part                                            | 15  | 0.12 0.06 0.05 0.95
            """;

    /** How likely each sign is seen under a cause of each kind. */
    private static final String SIGNS = """
                              PLUG PART FLEX BOARD LEFT_BEHIND DATA DIRT OUTSIDE CELL
            ALIVE             0.80 0.70 0.50 0.60  0.70        0.70 0.70 0.70    0.30
            WORKED_BEFORE     0.95 0.95 0.90 0.30  0.95        0.95 0.70 0.60    0.40
            FAILED_BEFORE     0.05 0.05 0.10 0.70  0.05        0.05 0.30 0.40    0.60
            FAILS_LOOSE       0.87 0.78 0.76 0.68  0.55        0.82 0.50 0.45    0.50
            FAILS_SEALED      0.06 0.07 0.12 0.07  0.33        0.04 0.20 0.20    0.10
            FLEX_IN_DANGER    0.10 0.08 0.50 0.15  0.10        0.08 0.08 0.08    0.10
            EARLIER_REPAIR    0.35 0.25 0.40 0.40  0.45        0.30 0.30 0.25    0.30
            PLAIN_COPY        0.25 0.60 0.25 0.25  0.40        0.30 0.25 0.25    0.25
            ORIGINAL          0.35 0.12 0.35 0.35  0.25        0.35 0.35 0.35    0.35
            SECOND_PART       0.30 0.03 0.15 0.50  0.40        0.40 0.20 0.20    0.20
            HOT_SPOT          0.04 0.25 0.06 0.08  0.04        0.04 0.04 0.04    0.15
            SOLVENT           0.08 0.12 0.05 0.06  0.05        0.04 0.30 0.05    0.04
            SCREW_LOST        0.04 0.04 0.06 0.30  0.12        0.04 0.04 0.04    0.04
            STIFF_PLUG        0.35 0.05 0.20 0.08  0.15        0.06 0.30 0.04    0.05
            CAME_BACK         0.07 0.15 0.12 0.25  0.12        0.14 0.30 0.35    0.40
            ALL_DEAD          0.62 0.12 0.40 0.55  0.30        0.10 0.25 0.06    0.80
            BAND              0.16 0.08 0.34 0.12  0.32        0.05 0.34 0.02    0.03
            LINE              0.05 0.28 0.14 0.05  0.10        0.02 0.18 0.02    0.02
            PATCH             0.06 0.40 0.07 0.10  0.10        0.10 0.10 0.25    0.05
            GHOSTS            0.14 0.23 0.08 0.20  0.20        0.10 0.15 0.65    0.10
            WAVES             0.06 0.30 0.05 0.10  0.35        0.60 0.05 0.15    0.02
            PEN_DEAD          0.85 0.35 0.60 0.75  0.25        0.06 0.40 0.80    0.60
            SILENT            0.85 0.50 0.85 0.85  0.15        0.05 0.25 0.12    0.30
            NO_VOLTAGE        0.02 0.04 0.02 0.02  0.02        0.02 0.04 0.30    0.02
            DRAWS_NOTHING     0.40 0.40 0.35 0.45  0.30        0.10 0.35 0.10    0.10
            VOLTAGE_GIVES     0.04 0.10 0.04 0.06  0.03        0.02 0.20 0.40    0.04
            STARTS_OVER       0.35 0.20 0.15 0.20  0.10        0.05 0.20 0.08    0.35
            PLUG_OFF          0.92 0.60 0.75 0.50  0.70        0.60 0.55 0.50    0.50
            PLUG_UNTOUCHED    0.08 0.40 0.25 0.50  0.30        0.40 0.45 0.50    0.50
            SHARED_WORKS      0.15 0.75 0.30 0.65  0.35        0.80 0.45 0.80    0.15
            SHARED_FAILS      0.85 0.25 0.70 0.35  0.65        0.20 0.55 0.20    0.85
            DATA_PROVEN       0.85 0.85 0.85 0.85  0.85        0.04 0.85 0.85    0.85
            DATA_NOT_PROVEN   0.15 0.15 0.15 0.15  0.15        0.96 0.15 0.15    0.15
            """;

    public static final FaultTable TABLE = new FaultTable(complaints(), signs());

    private UsualFaults() {}

    private static List<Complaint> complaints() {
        return Arrays.stream(COMPLAINTS.split("\n\\s*\n"))
                .map(block -> complaint(block.lines()
                        .map(line -> Arrays.stream(line.split("\\|"))
                                .map(String::strip)
                                .toList())
                        .toList()))
                .toList();
    }

    private static Complaint complaint(List<List<String>> lines) {
        List<String> head = lines.get(0);
        List<Cause> causes = lines.stream()
                .filter(line -> line.get(0).equals("cause"))
                .map(line -> new Cause(
                        line.get(1), line.get(2), Nature.valueOf(line.get(3)), Double.parseDouble(line.get(4))))
                .toList();
        List<Check> checks = lines.stream()
                .skip(1)
                .filter(line -> !line.get(0).equals("cause"))
                .map(line -> check(line, causes))
                .toList();
        return new Complaint(
                head.get(0),
                head.get(1),
                head.size() < 3 || head.get(2).isEmpty()
                        ? List.of()
                        : List.of(head.get(2).split(" ")),
                causes,
                checks);
    }

    private static Check check(List<String> line, List<Cause> causes) {
        Kind kind = Kind.valueOf(line.get(0).split(" ")[0].toUpperCase(java.util.Locale.ROOT));
        String[] chances = line.get(4).split(" ");
        Map<String, Double> badIf = new LinkedHashMap<>();
        for (int i = 0; i < chances.length; i++) {
            badIf.put(causes.get(i).id(), Double.parseDouble(chances[i]));
        }
        boolean look = kind == Kind.LOOK;
        return new Check(
                line.get(1),
                line.get(2),
                kind,
                line.get(0).endsWith("="),
                Double.parseDouble(line.get(3)),
                look ? line.get(5) : null,
                look ? line.get(6) : null,
                badIf);
    }

    private static List<SignChances> signs() {
        List<String[]> rows =
                SIGNS.lines().map(line -> line.strip().split(" +")).toList();
        List<SignChances> signs = new ArrayList<>();
        for (String[] row : rows.subList(1, rows.size())) {
            signs.add(new SignChances(
                    Sign.valueOf(row[0]),
                    java.util.stream.IntStream.range(0, rows.get(0).length)
                            .boxed()
                            .collect(Collectors.toMap(
                                    i -> Nature.valueOf(rows.get(0)[i]), i -> Double.parseDouble(row[i + 1])))));
        }
        return signs;
    }
}
