package org.jspecify.annotations;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/**
 * Stands in for the annotation of the same name while faults are put in; in classes nothing stays
 * of it.
 */
@Retention(RetentionPolicy.SOURCE)
@Target({ElementType.TYPE_USE, ElementType.TYPE, ElementType.PACKAGE, ElementType.METHOD})
public @interface Nullable {}
