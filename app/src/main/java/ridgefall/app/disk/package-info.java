/** Whether there is room for what is recorded: said before there is none. */
package ridgefall.app.disk;
