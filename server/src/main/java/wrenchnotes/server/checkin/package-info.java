/** A unit arrives and becomes a job; what was said of it on arrival can be corrected later. */
package wrenchnotes.server.checkin;
