/** Why something fails, for the bench; and the table that it is reckoned by, for a lead. */
package ridgefall.app.fault;
