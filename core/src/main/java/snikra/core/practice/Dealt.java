package snikra.core.practice;

import snikra.core.specimen.Specimen;

/** A knife to guess at: all there is to see of it, and what is so. */
public record Dealt(Specimen knife, Truth truth) {}
