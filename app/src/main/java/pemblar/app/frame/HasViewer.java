package pemblar.app.frame;

/** A principal that is a person, or a program which acts for one. */
public interface HasViewer {
    Viewer getViewer();
}
