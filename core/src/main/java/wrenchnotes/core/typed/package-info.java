/**
 * What a person types, read by one set of rules: numbers with either decimal mark, quantities with their units, sums of money,
 * counts. The browser reads by the same rules; one table of cases holds both to them (typed-cases.json).
 */
package wrenchnotes.core.typed;
