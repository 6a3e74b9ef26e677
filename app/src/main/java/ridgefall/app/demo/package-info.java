/** A day at a made-up workshop, for whoever looks at the app for the first time. */
package ridgefall.app.demo;
