/** What the drawers will need: demand, how long orders take, when to order and how much, what the open jobs ask for. */
package wrenchnotes.core.drawer.need;
