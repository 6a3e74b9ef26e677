/** Station 7, carry over: what must move from the old front to the new one. */
package ridgefall.core.carry;
