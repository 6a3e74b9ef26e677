/** Sheets, adhesives and glass: handbook-level material data with their ranges, and what follows from them. */
package ridgefall.core.material;
