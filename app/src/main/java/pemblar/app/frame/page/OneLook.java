package pemblar.app.frame.page;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/**
 * A page that asks many services and changes nothing: all that they read is read over one connection in one
 * transaction, not in one for each of them. Not for one that reads channels: they may lie in a store that is slow, and
 * others wait for their turn.
 */
@Target(ElementType.METHOD)
@Retention(RetentionPolicy.RUNTIME)
public @interface OneLook {}
