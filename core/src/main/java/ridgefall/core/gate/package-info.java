/** The course of a job through all stations: steps, the next one, and every hold point. */
package ridgefall.core.gate;
