/** The journal in PostgreSQL, jobs as it tells them, and the projections made from it. */
package ridgefall.app.job;
