/** Station 1, intake: what worked before, what is broken where, and what is special about this unit. */
package ridgefall.core.intake;
