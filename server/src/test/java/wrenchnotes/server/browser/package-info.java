/** The real interface, driven in Debian's Chromium against the packaged application. */
package wrenchnotes.server.browser;
