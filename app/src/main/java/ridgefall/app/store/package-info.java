/** What reading the store is alike in, whatever is read. */
package ridgefall.app.store;
