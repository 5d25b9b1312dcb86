package wrenchnotes.core.diagnosis.history;

/**
 * How often findings of a {@link FindingSort} were made.
 *
 * @param findings how many times it was found and so remedied
 * @param jobs in how many jobs, each counted with the remedy that was tried first
 * @param comebacks how many of the findings were followed by a {@link Comeback}
 */
public record FindingCount(int findings, int jobs, int comebacks) {

    FindingCount plus(FindingCount other) {
        return new FindingCount(findings + other.findings, jobs + other.jobs, comebacks + other.comebacks);
    }
}
