/** Station 2, decide and quote: which repair, at what price, agreed by whom. */
package ridgefall.core.decide;
