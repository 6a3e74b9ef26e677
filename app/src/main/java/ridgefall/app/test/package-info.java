/** What instruments prove of a function, while the front is open and after. */
package ridgefall.app.test;
