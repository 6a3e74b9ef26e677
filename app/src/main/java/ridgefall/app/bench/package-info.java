/** The bench at a glance: all jobs and clocks, read from projections only. */
package ridgefall.app.bench;
