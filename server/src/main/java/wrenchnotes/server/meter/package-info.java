/** The bench meter: any that speaks SCPI over TCP, and a stand-in that ships with the application and speaks the same. */
package wrenchnotes.server.meter;
