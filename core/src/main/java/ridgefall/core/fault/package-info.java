/** Why something does not work, and what to do next about it: at whatever station it fails. */
package ridgefall.core.fault;
