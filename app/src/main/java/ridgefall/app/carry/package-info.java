/** Station 7 over HTTP: how a kept panel gets rid of its old glass, and how data get from the old front to the new one. */
package ridgefall.app.carry;
