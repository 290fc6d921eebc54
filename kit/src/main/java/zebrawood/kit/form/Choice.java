package zebrawood.kit.form;

/**
 * One of a few words that can be chosen.
 *
 * @param id as it is kept, and as it stands in the readings; empty for what is not said there
 * @param words as it is shown
 */
public record Choice(String id, String words) {
    @Override
    public String toString() {
        return words;
    }
}
