/** Sheets at true scale as files: SVG, PDF, DXF. */
package ridgefall.app.sheet;
