/** How notes stand in the database and in the open format: forms with numbers, never changed, with all their readers. */
package wrenchnotes.server.teardown.form;
