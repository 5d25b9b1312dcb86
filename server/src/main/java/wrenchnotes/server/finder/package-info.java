/** The one finder over everything that comes through the shop: tag, serial, model, customer, symptom. */
package wrenchnotes.server.finder;
