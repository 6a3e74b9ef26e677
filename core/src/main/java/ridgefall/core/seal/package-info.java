/** Station 11, seal: films and liners off, wedges out, aligned, pressed. */
package ridgefall.core.seal;
