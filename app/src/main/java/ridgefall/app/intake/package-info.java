/** What is kept of owners and their devices besides the journal: contact, photos, the tag. */
package ridgefall.app.intake;
