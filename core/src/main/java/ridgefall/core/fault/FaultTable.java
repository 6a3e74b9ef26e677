package ridgefall.core.fault;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import ridgefall.core.units.Allowed;
import ridgefall.core.units.NotAllowed;

/**
 * What can be wrong where something fails, how likely it is, and what tells or mends it. Data: a lead sets the numbers, and closed cases
 * move them. One fault at a time; signs and checks are independent given the fault.
 *
 * @param complaints the last of them stands for every function that no other names
 * @param signs how likely each is seen under a cause of each kind
 */
public record FaultTable(List<Complaint> complaints, List<SignChances> signs) {
    /** Surer than that nobody is: a check that can't be wrong would end all doubt for good. */
    static final double LEAST = 0.01;

    /** All orders of more are not reckoned while somebody waits. */
    static final int MOST_CHECKS = 10;

    /** @param weight beside the others of its complaint */
    public record Cause(String id, String words, Nature nature, double weight) {
        public Cause {
            Allowed.text("causes.id", id, 40);
            Allowed.text("causes.words", words, 80);
            Allowed.present("causes.nature", nature);
            Allowed.between("causes.weight", weight, 0.001, 1000, "");
        }
    }

    public enum Kind {
        /** Two answers; it works as badly as before. */
        LOOK,
        /** Done: what failed is tested again. */
        MEND,
        /** The new part goes back. */
        SWAP,
        /** A part that nobody agreed to yet: the owner is asked. */
        QUOTE,
        /** Its paired data are written anew. */
        COPY
    }

    /**
     * @param closed whether it can be done on a sealed device
     * @param good what is found where nothing is wrong; null but for looks, with {@code bad} for the other
     * @param badIf by cause, how likely the outcome is bad: it still fails after something that mends, or the bad sign is there
     */
    public record Check(
            String id,
            String words,
            Kind kind,
            boolean closed,
            double minutes,
            String good,
            String bad,
            Map<String, Double> badIf) {
        public Check {
            Allowed.text("checks.id", id, 40);
            Allowed.text("checks.words", words, 120);
            Allowed.present("checks.kind", kind);
            Allowed.between("checks.minutes", minutes, 0.1, 600, "min");
            if (kind == Kind.LOOK) {
                Allowed.text("checks.good", good, 40);
                Allowed.text("checks.bad", bad, 40);
            }
            badIf = Map.copyOf(Allowed.present("checks.badIf", badIf));
            badIf.values().forEach(chance -> Allowed.between("checks.badIf", chance, LEAST, 1 - LEAST, ""));
        }

        boolean mends() {
            return kind != Kind.LOOK;
        }

        Map<String, Double> goodIf() {
            return badIf.entrySet().stream().collect(Collectors.toMap(Map.Entry::getKey, e -> 1 - e.getValue()));
        }
    }

    /** @param functions ids of the functions it is about */
    public record Complaint(String id, String words, List<String> functions, List<Cause> causes, List<Check> checks) {
        public Complaint {
            Allowed.text("complaints.id", id, 40);
            Allowed.text("complaints.words", words, 80);
            functions = List.copyOf(Allowed.present("complaints.functions", functions));
            causes = List.copyOf(Allowed.present("complaints.causes", causes));
            checks = List.copyOf(Allowed.present("complaints.checks", checks));
            Allowed.between("causes", causes.size(), 1, 20, "causes of " + id);
            Allowed.between("checks", checks.size(), 0, MOST_CHECKS, "checks of " + id);
            Set<String> ids = once("causes.id", causes, Cause::id);
            once("checks.id", checks, Check::id);
            for (Check check : checks) {
                if (!check.badIf().keySet().equals(ids)) {
                    throw new NotAllowed(
                            "checks.badIf",
                            check.id() + " of " + id + ": " + check.badIf().keySet(),
                            "one chance for each of " + ids);
                }
            }
        }

        Check check(String checkId) {
            return checks.stream()
                    .filter(one -> one.id().equals(checkId))
                    .findFirst()
                    .orElse(null);
        }
    }

    public record SignChances(Sign sign, Map<Nature, Double> seenIf) {
        public SignChances {
            Allowed.present("signs.sign", sign);
            seenIf = Map.copyOf(Allowed.present("signs.seenIf", seenIf));
            Allowed.between("signs.seenIf", seenIf.size(), Nature.values().length, Nature.values().length, "chances");
            seenIf.values().forEach(chance -> Allowed.between("signs.seenIf", chance, LEAST, 1 - LEAST, ""));
        }
    }

    public FaultTable {
        complaints = List.copyOf(Allowed.present("complaints", complaints));
        signs = List.copyOf(Allowed.present("signs", signs));
        Allowed.between("complaints", complaints.size(), 1, 60, "complaints");
        once("complaints.id", complaints, Complaint::id);
        once("signs.sign", signs, SignChances::sign);
    }

    /** @throws NotAllowed where two are called the same */
    private static <T, K> Set<K> once(String field, List<T> all, Function<T, K> id) {
        Set<K> seen = new HashSet<>();
        for (T one : all) {
            if (!seen.add(id.apply(one))) {
                throw new NotAllowed(field, id.apply(one), "each once");
            }
        }
        return seen;
    }

    public Complaint about(String functionId) {
        return complaints.stream()
                .filter(complaint -> complaint.functions().contains(functionId))
                .findFirst()
                .orElse(complaints.get(complaints.size() - 1));
    }

    Map<Nature, Double> seenIf(Sign sign) {
        return signs.stream()
                .filter(one -> one.sign() == sign)
                .findFirst()
                .map(SignChances::seenIf)
                .orElse(Map.of());
    }
}
