/** What the closed jobs say: the book of them, what came back, how often each fault is there and what it shows. */
package wrenchnotes.core.diagnosis.history;
