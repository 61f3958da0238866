package cauldron.core.apparatus;

/** Steps of any length from one point along a law of motion. */
interface Steps {

    /** A law of motion, from the point on. */
    interface Law {
        /** Fills in dy for y at a time since the point. */
        void at(double since, double[] y, double[] dy);
    }

    /** Where steps go from now on, and the law that rules from there. */
    void from(double[] y);

    /** The state so long after the point; nothing is remembered of it. */
    double[] to(double h);
}
