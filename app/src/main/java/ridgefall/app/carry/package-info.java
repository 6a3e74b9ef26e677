/** Station 7 over HTTP: how the panel that is kept gets rid of its old glass. */
package ridgefall.app.carry;
