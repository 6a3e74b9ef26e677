/** The device book: drawn, checked, imported, released; jobs keep the version they started with. */
package ridgefall.app.book;
