/** One stay of a unit: its facts, where it stands, its holds, its story, and the sheet that shows them. */
package wrenchnotes.server.job;
