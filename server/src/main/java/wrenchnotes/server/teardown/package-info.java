/** Models, their revisions, components and known faults, and the notes of each revision. */
package wrenchnotes.server.teardown;
