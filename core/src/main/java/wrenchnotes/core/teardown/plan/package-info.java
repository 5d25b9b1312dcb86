/**
 * The access plan: the least work to reach components, over all sets and orders of steps that respect what needs what.
 *
 * <p>{@code Ways} says which sets of steps would do, {@code Order} finds the best order of one set, {@code AccessPlan}
 * searches both together and answers.
 */
package wrenchnotes.core.teardown.plan;
