/**
 * Station 4, heat: how warm the bond line, the battery and the display get on a source, how sure that is, and which
 * plan of source, setting and time suits this device and its damage.
 */
package ridgefall.core.heat;
