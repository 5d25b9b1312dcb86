package wrenchnotes.core.diagnosis.history;

import java.util.Arrays;

/** Plain arrays that grow by a quarter when they are full: what the closed book is made of. */
final class Columns {

    private static final int LEAST = 16;

    private Columns() {}

    private static int larger(int length, int least) {
        return Math.max(least, Math.max(LEAST, length + length / 4));
    }

    static final class Longs {

        private long[] values = new long[0];
        private int size;

        void add(long value) {
            if (size == values.length) {
                values = Arrays.copyOf(values, larger(size, size + 1));
            }
            values[size++] = value;
        }

        long get(int at) {
            return values[at];
        }

        long bytes() {
            return values.length * (long) Long.BYTES;
        }
    }

    static final class Ints {

        private final int empty;
        private int[] values = new int[0];
        private int size;

        Ints() {
            this(0);
        }

        /** @param empty what stands where nothing was set */
        Ints(int empty) {
            this.empty = empty;
        }

        void add(int value) {
            set(size, value);
        }

        /** Ids fit an {@code int} as long as a shop has fewer than two thousand million rows of a sort. */
        void add(long id) {
            set(size, Math.toIntExact(id));
        }

        void set(int at, int value) {
            if (at >= values.length) {
                int before = values.length;
                values = Arrays.copyOf(values, larger(before, at + 1));
                Arrays.fill(values, before, values.length, empty);
            }
            values[at] = value;
            size = Math.max(size, at + 1);
        }

        int get(int at) {
            return at < size ? values[at] : empty;
        }

        int size() {
            return size;
        }

        long bytes() {
            return values.length * (long) Integer.BYTES;
        }
    }

    static final class Bytes {

        private byte[] values = new byte[0];
        private int size;

        void add(int value) {
            if (size == values.length) {
                values = Arrays.copyOf(values, larger(size, size + 1));
            }
            values[size++] = (byte) value;
        }

        int get(int at) {
            return values[at];
        }

        long bytes() {
            return values.length;
        }
    }
}
