package ridgefall.core.damage;

import ridgefall.core.damage.DamageFact.Mishap;
import ridgefall.core.edge.EdgeInterval;

/**
 * A place along the edge where a tool went wrong, as far as whoever cuts there again minds it.
 *
 * @param what a slip, a tool that went too deep, or something cut
 */
public record Harm(EdgeInterval where, Mishap what) {}
