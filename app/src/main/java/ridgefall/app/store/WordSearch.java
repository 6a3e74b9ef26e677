package ridgefall.app.store;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.springframework.jdbc.core.simple.JdbcClient.StatementSpec;

/** Rows whose text has all the words of a question somewhere; no words, all rows. */
public record WordSearch(List<String> words) {
    /** For the transaction at hand: a plan that does not know the words takes half the shop for one row. */
    public static final String PLAN_FOR_THE_WORDS = "set local plan_cache_mode = force_custom_plan";

    private static final int MOST_WORDS = 8;

    public static WordSearch of(String query) {
        return new WordSearch(Arrays.stream(query.toLowerCase(Locale.ROOT).split("\\s+"))
                .filter(word -> !word.isBlank())
                .limit(MOST_WORDS)
                .toList());
    }

    /** As a condition on a column, its words to be bound. */
    public String matches(String column) {
        return words.isEmpty()
                ? "true"
                : IntStream.range(0, words.size())
                        .mapToObj(i -> column + " like :w" + i)
                        .collect(Collectors.joining(" and "));
    }

    public StatementSpec bind(StatementSpec statement) {
        StatementSpec bound = statement;
        for (int i = 0; i < words.size(); i++) {
            bound = bound.param("w" + i, "%" + words.get(i).replaceAll("([%_\\\\])", "\\\\$1") + "%");
        }
        return bound;
    }
}
