/** Who signs in, and what a role may do besides recording facts. */
package ridgefall.app.security;
