/**
 * The notes of a revision: steps, what each needs first, what it takes off and what it exposes. {@code Teardown} holds
 * them and is right by construction: every need is known and there is no circle.
 */
package wrenchnotes.core.teardown;
