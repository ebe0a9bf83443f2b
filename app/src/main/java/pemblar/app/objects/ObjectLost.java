package pemblar.app.objects;

/** The store answers, but without what was put there, or with something else: asking again will not help. */
public class ObjectLost extends StoreAway {
    private static final long serialVersionUID = 1;

    public ObjectLost(String why) {
        super(why);
    }
}
