/** Station 9, bond: which strips to cut from the roll, where they lie on the ledge and what they will hold. */
package ridgefall.core.bond;
