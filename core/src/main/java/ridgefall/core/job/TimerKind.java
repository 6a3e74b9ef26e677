package ridgefall.core.job;

/**
 * What a clock at the bench may be about; the rooms say which there are.
 *
 * @param id as journals and screens name it
 */
public record TimerKind(String id, String words) {}
