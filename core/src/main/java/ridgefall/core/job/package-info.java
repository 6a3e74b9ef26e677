/**
 * A job is an append-only list of facts; its state is a pure fold of them. Stations read the state and say which steps
 * are open and what holds a fact back.
 */
package ridgefall.core.job;
