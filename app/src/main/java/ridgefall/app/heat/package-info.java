/** Station 4 over HTTP: plans, forecasts, logs and what they teach about a bench. */
package ridgefall.app.heat;
