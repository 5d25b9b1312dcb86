/** What holds for the whole shop: its money, its clock, its hours. */
package wrenchnotes.core.shop;
