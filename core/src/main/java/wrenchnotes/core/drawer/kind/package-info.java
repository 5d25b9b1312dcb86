/** What a part is: its kind, what can be said of it, how that is read off what people type, and what may stand in for it. */
package wrenchnotes.core.drawer.kind;
