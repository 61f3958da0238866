package cauldron.core.apparatus;

import java.util.List;

/** A number of the scene that is neither a place nor a length: how many there are, which one, an angle in radians. */
public final class SceneNumber extends SceneField {

    private List<String> words = List.of();

    SceneNumber(Declaration owner, String id) {
        super(owner, id, Kind.NUMBER);
    }

    /** It is the place of one among some words, which drawings then know. */
    public SceneNumber words(String... all) {
        stillOpen();
        words = List.of(all);
        return this;
    }

    @Override
    List<String> words() {
        return words;
    }

    /** A camera sees it. */
    public SceneNumber filmed() {
        setFilmed();
        return this;
    }
}
