<?php

declare(strict_types=1);

namespace Crag\Canvas\Fit;

/**
 * How far a drawn stroke may be from a shape and still be meant as one: every threshold of fitting, in one place.
 * resources/ts/canvas/fit/limits.ts has the same. Shares are of the stroke's size, which is the diagonal of the box
 * around it, unless said otherwise.
 */
final class FitLimit
{
    /** A stroke is looked at in so many points, evenly spaced along it. */
    public const POINTS = 96;

    /** In units: what is smaller is writing, or a dot. */
    public const SMALLEST = 20.0;

    /** Where a stroke ends this near to its beginning, as a share of its length, it was meant to close. */
    public const CLOSED = 0.14;

    /** How far a line may bend, as a share of the way from end to end, and how much longer than that it may be. */
    public const LINE = 0.055;

    public const LINE_LONGER = 1.1;

    /** The mean distance from an arc, an ellipse, a polygon. */
    public const ARC = 0.022;

    public const ELLIPSE = 0.032;

    public const POLYGON = 0.024;

    /** What each corner of a polygon costs beside an ellipse: the simpler shape is meant. */
    public const CORNER = 0.0015;

    /** Turns of an arc, in degrees. */
    public const ARC_LEAST = 25.0;

    public const ARC_MOST = 335.0;

    /** An ellipse that is nearly round is a circle: its shorter axis as a share of its longer. */
    public const CIRCLE = 0.82;

    /** Corners: how far a side may bend, how near two corners may lie, how flat a corner may be in degrees. */
    public const BEND = 0.055;

    public const CORNERS_APART = 0.1;

    public const FLAT = 152.0;

    public const MOST_CORNERS = 8;

    /** A corner within so many degrees of a right angle is one, where all four are. */
    public const RIGHT = 17.0;

    /** What stands within so many degrees of level or upright is. */
    public const LEVEL = 6.0;

    /** The longest part of an arrow's head, as a share of its shaft. */
    public const BARB = 0.55;
}
