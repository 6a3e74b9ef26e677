/** How the app speaks: strict JSON, problems that name field, value and range, and the description of it all. */
package ridgefall.app.http;
