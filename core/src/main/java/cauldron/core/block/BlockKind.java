package cauldron.core.block;

import static cauldron.core.form.Kinds.text;

import cauldron.core.form.Field;
import cauldron.core.form.Form;
import cauldron.core.form.Where;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;

/**
 * A kind of block: how one is declared on a sheet, what it keeps in a notebook, and when it is done.
 *
 * @param <B> a block of this kind
 */
public abstract class BlockKind<B extends Block> extends Form<B> {

    /** Characters of an id. */
    private static final int LONGEST_ID = 60;

    private final String type;
    private final List<Slot<?>> slots = new ArrayList<>();

    /** A block's name on its sheet. */
    protected final Field<B, String> id = field("id", text(LONGEST_ID), Block::id).says("Its name on the sheet.");

    /**
     * A kind.
     *
     * @param type  its id, as sheets write it
     * @param name  as types and descriptions call it
     * @param about what it is for, for whoever writes a lab
     */
    protected BlockKind(String type, String name, String about) {
        super(name, about);
        this.type = type;
    }

    /** Its id, as sheets write it. */
    public final String type() {
        return type;
    }

    /**
     * Declares a place in the notebook, with so many parts after its name. What it holds is made when it is asked for: a
     * page that only counts has no need of it.
     */
    protected final <V> Slot<V> slot(String name, int parts, Supplier<Form<V>> holds) {
        Slot<V> slot = new Slot<>(name, parts, holds);
        slots.add(slot);
        return slot;
    }

    /** What it keeps in a notebook. */
    public final List<Slot<?>> slots() {
        return slots;
    }

    /** Looks for what is wrong with it on its sheet, such as between it and the other blocks of its sheet. */
    public void checkAmong(B block, Neighbours all, Where at) {
        // Most speak of no other.
    }

    @Override
    protected final boolean knows(String field) {
        return field.equals("type");
    }

    @Override
    protected final Where placeOf(Map<?, ?> tree, Where at) {
        return at.named("block " + (tree.get("id") instanceof String given ? given : "without id"));
    }
}
