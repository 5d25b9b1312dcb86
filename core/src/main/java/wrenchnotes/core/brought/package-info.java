/** Past jobs that a shop brings with it: what a spreadsheet's columns and cells mean. */
package wrenchnotes.core.brought;
