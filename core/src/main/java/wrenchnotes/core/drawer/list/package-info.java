/** Lists of parts as they come from elsewhere. */
package wrenchnotes.core.drawer.list;
