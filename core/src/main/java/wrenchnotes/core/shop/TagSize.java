package wrenchnotes.core.shop;

import wrenchnotes.core.unit.Spoken;

/** On what labels the shop prints its tags: common sizes of label rolls, and A4 with three columns of eight. */
public enum TagSize implements Spoken {
    W70_H30(70, 30, 1, 1, "70 × 30 mm"),
    W60_H30(60, 30, 1, 1, "60 × 30 mm"),
    W50_H25(50, 25, 1, 1, "50 × 25 mm"),
    SHEET_OF_24(70, 37, 3, 24, "A4 sheet of 24");

    private static final int EDGE_MM = 5;
    private static final int LARGEST_CODE_MM = 25;

    private final int width;
    private final int height;
    private final int columns;
    private final int places;
    private final String words;

    TagSize(int width, int height, int columns, int places, String words) {
        this.width = width;
        this.height = height;
        this.columns = columns;
        this.places = places;
        this.words = words;
    }

    public int widthMm() {
        return width;
    }

    public int heightMm() {
        return height;
    }

    /** How many stand beside one another. */
    public int columns() {
        return columns;
    }

    /** How many there are on one paper. */
    public int places() {
        return places;
    }

    /** How wide the code is that a scanner reads. */
    public int codeMm() {
        return Math.min(LARGEST_CODE_MM, height - EDGE_MM);
    }

    @Override
    public String words() {
        return words;
    }
}
