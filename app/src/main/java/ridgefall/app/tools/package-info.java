/** What the bench owns: heat sources and what was measured of them. */
package ridgefall.app.tools;
