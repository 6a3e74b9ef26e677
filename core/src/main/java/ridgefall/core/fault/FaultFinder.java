package ridgefall.core.fault;

import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import ridgefall.core.fault.FaultTable.Check;

/**
 * What to do next: the check with the fewest expected minutes to the cure. Not the check that tells most: that one loses where another
 * cures as well. Exact, over all orders and all answers; an answer may say that it is better to leave off.
 *
 * <p>Every state is the weights of the causes after the answers so far, not made to sum to 1: what is cured falls out of them by
 * itself, and minutes are counted by what is left. A mend is left or was in vain, a look is left, sound or bad, so there are few
 * hundred states: 3 to the looks times 2 to the mends.
 *
 * @param reachMinutes before the first check that can't be done on a sealed device: it is opened, what lies over its plugs comes off
 */
record FaultFinder(List<Check> checks, double reachMinutes) {
    /** What it takes once nothing here has helped: put together again and back, or on to a board bench. */
    static final double GIVEN_UP_MINUTES = 60;

    /** Expected minutes to the cure when this check comes first; every check that is left, by its id. */
    Map<String, Double> minutes(Belief belief) {
        Search search = new Search(belief);
        Map<String, Double> minutes = new HashMap<>();
        for (int i = 0; i < checks.size(); i++) {
            minutes.put(checks.get(i).id(), search.first(i, new int[checks.size()], search.weights));
        }
        return minutes;
    }

    /** The check to do next; empty where none is left that saves more than it takes. */
    Optional<Check> next(Belief belief) {
        Map<String, Double> minutes = minutes(belief);
        return checks.stream()
                .min(Comparator.comparing(check -> minutes.get(check.id())))
                .filter(best -> minutes.get(best.id()) < GIVEN_UP_MINUTES);
    }

    private static final double RARE = 1e-4;

    private static final int LEFT = 0;
    private static final int BAD = 1;
    private static final int SOUND = 2;

    private final class Search {
        private final double[] weights;
        /** How likely each check finds something bad with each cause, by check and cause. */
        private final double[][] badIf;

        private final double[] known;

        Search(Belief belief) {
            badIf = checks.stream()
                    .map(check -> belief.of().keySet().stream()
                            .mapToDouble(check.badIf()::get)
                            .toArray())
                    .toArray(double[][]::new);
            known = new double[(int) Math.pow(3, checks.size())];
            Arrays.fill(known, Double.NaN);
            weights = belief.of().values().stream()
                    .mapToDouble(Double::doubleValue)
                    .toArray();
        }

        private double best(int[] answers, double[] now) {
            int state = 0;
            for (int answer : answers) {
                state = 3 * state + answer;
            }
            if (!Double.isNaN(known[state])) {
                return known[state];
            }
            double least = GIVEN_UP_MINUTES * sum(now);
            // What is as rare as that changes no answer.
            for (int i = 0; i < answers.length && least > GIVEN_UP_MINUTES * RARE; i++) {
                if (answers[i] == LEFT) {
                    least = Math.min(least, first(i, answers, now));
                }
            }
            known[state] = least;
            return least;
        }

        private double first(int i, int[] answers, double[] now) {
            Check check = checks.get(i);
            boolean reaches = !check.closed() && reachMinutes > 0 && notReached(answers);
            double minutes = (check.minutes() + (reaches ? reachMinutes : 0)) * sum(now);
            minutes += best(answered(answers, i, BAD), given(badIf[i], now, true));
            return check.mends() ? minutes : minutes + best(answered(answers, i, SOUND), given(badIf[i], now, false));
        }

        private boolean notReached(int[] answers) {
            for (int i = 0; i < answers.length; i++) {
                if (answers[i] != LEFT && !checks.get(i).closed()) {
                    return false;
                }
            }
            return true;
        }

        private static double[] given(double[] badIf, double[] now, boolean bad) {
            double[] then = new double[now.length];
            for (int c = 0; c < now.length; c++) {
                then[c] = now[c] * (bad ? badIf[c] : 1 - badIf[c]);
            }
            return then;
        }
    }

    private static int[] answered(int[] answers, int i, int answer) {
        int[] then = answers.clone();
        then[i] = answer;
        return then;
    }

    private static double sum(double[] weights) {
        double sum = 0;
        for (double weight : weights) {
            sum += weight;
        }
        return sum;
    }
}
