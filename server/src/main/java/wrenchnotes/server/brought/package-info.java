/** Past jobs that a shop brings with it in a spreadsheet: read, looked through row by row, taken in portions, undone by one word. */
package wrenchnotes.server.brought;
