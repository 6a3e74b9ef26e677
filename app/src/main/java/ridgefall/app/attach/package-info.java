/** Files of a job, whatever is in them: who brought which, when, and that it is the same still. */
package ridgefall.app.attach;
