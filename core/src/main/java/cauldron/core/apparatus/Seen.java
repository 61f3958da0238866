package cauldron.core.apparatus;

/** What is seen of an experiment at the moment shown. It is worked out when it is asked for, and once for each moment. */
final class Seen {

    private final Experiment experiment;
    private final Readings readings;
    private final Scene scene;
    private boolean readNow;
    private boolean sceneNow;

    Seen(Manifest manifest, Experiment experiment) {
        this.experiment = experiment;
        readings = new Readings(manifest);
        scene = new Scene(manifest);
    }

    /** Its channels; the same object every time. */
    Readings readings() {
        if (!readNow) {
            experiment.read(readings);
            readNow = true;
        }
        return readings;
    }

    /** Its scene; the same object every time. */
    Scene scene() {
        if (!sceneNow) {
            experiment.scene(scene);
            sceneNow = true;
        }
        return scene;
    }

    /** The moment or the state has changed. */
    void lookAnew() {
        readNow = false;
        sceneNow = false;
    }
}
