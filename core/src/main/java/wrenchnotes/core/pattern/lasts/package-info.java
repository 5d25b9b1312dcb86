/** How long what was done lasts: survival from handover to the first comeback, comebacks in all, and how remedies differ. */
package wrenchnotes.core.pattern.lasts;
