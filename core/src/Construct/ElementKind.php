<?php

declare(strict_types=1);

namespace Crag\Construct;

/**
 * What an element of a construction is made as. `needs` says of what: p a point, s something straight, c a circle,
 * f something straight or a circle, g a polygon or a circle; `+` after the last one for more of it.
 */
enum ElementKind: string
{
    /** A free point. */
    case Point = 'point';
    /** A point that is moved along something. */
    case On = 'on';
    case Segment = 'segment';
    case Ray = 'ray';
    case Line = 'line';
    case Vector = 'vector';
    /** By its centre and a point on it. */
    case Circle = 'circle';
    /** By its centre and a radius in units. */
    case Compass = 'compass';
    case CircleThrough = 'circle3';
    /** From the first point through the second to the third. */
    case Arc = 'arc';
    case Polygon = 'polygon';
    /** By one side and a number of corners. */
    case Regular = 'regular';
    case Midpoint = 'midpoint';
    case Perpendicular = 'perpendicular';
    case Parallel = 'parallel';
    case Bisector = 'bisector';
    /** Of the angle at the second point. */
    case AngleBisector = 'angle_bisector';
    /** From a point to a circle; two of them where it lies outside. */
    case Tangent = 'tangent';
    case Intersection = 'intersection';
    case Reflection = 'reflection';
    /** About the second point, by so many degrees. */
    case Rotation = 'rotation';
    /** By the way from the second point to the third. */
    case Translation = 'translation';
    /** From the second point, by a factor. */
    case Enlargement = 'enlargement';
    /** Where the first point comes as the second is moved along what it lies on. */
    case Locus = 'locus';
    case Length = 'length';
    /** At the second point. */
    case Angle = 'angle';
    case Area = 'area';
    case Slope = 'slope';
    case Coordinates = 'coordinates';
    /** Of a function, worked out when it was put there: Crag\Construct\Graph. */
    case Graph = 'graph';

    public function needs(): string
    {
        return match ($this) {
            self::Point, self::Graph => '',
            self::On => 'f',
            self::Segment, self::Ray, self::Line, self::Vector, self::Circle, self::Regular, self::Midpoint,
            self::Bisector, self::Rotation, self::Enlargement, self::Locus, self::Length => 'pp',
            self::Compass, self::Coordinates => 'p',
            self::CircleThrough, self::Arc, self::AngleBisector, self::Translation, self::Angle => 'ppp',
            self::Polygon => 'ppp+',
            self::Perpendicular, self::Parallel, self::Reflection => 'ps',
            self::Tangent => 'pc',
            self::Intersection => 'ff',
            self::Area => 'g',
            self::Slope => 's',
        };
    }

    /** What it is for those that are made of it, as `needs` names it; empty where nothing is made of it. */
    public function makes(): string
    {
        return match ($this) {
            self::Point, self::On, self::Midpoint, self::Intersection, self::Reflection, self::Rotation,
            self::Translation, self::Enlargement => 'p',
            self::Segment, self::Ray, self::Line, self::Vector, self::Perpendicular, self::Parallel, self::Bisector,
            self::AngleBisector, self::Tangent => 's',
            self::Circle, self::Compass, self::CircleThrough => 'c',
            self::Polygon, self::Regular => 'g',
            default => '',
        };
    }

    /** Whether what is made as this can be taken where `needs` says a letter. */
    public function serves(string $letter): bool
    {
        $made = $this->makes();

        return $made !== '' && match ($letter) {
            'f' => $made === 's' || $made === 'c',
            'g' => $made === 'g' || $made === 'c',
            default => $made === $letter,
        };
    }

    /** On a button, and where it is named in words. */
    public function word(): string
    {
        return match ($this) {
            self::Point => 'Point',
            self::On => 'Point on it',
            self::Segment => 'Segment',
            self::Ray => 'Ray',
            self::Line => 'Line',
            self::Vector => 'Vector',
            self::Circle => 'Circle',
            self::Compass => 'Circle of a radius',
            self::CircleThrough => 'Through three',
            self::Arc => 'Arc',
            self::Polygon => 'Polygon',
            self::Regular => 'Regular polygon',
            self::Midpoint => 'Midpoint',
            self::Perpendicular => 'Perpendicular',
            self::Parallel => 'Parallel',
            self::Bisector => 'Bisector',
            self::AngleBisector => 'Bisect an angle',
            self::Tangent => 'Tangents',
            self::Intersection => 'Intersection',
            self::Reflection => 'Mirror',
            self::Rotation => 'Rotation',
            self::Translation => 'Translate',
            self::Enlargement => 'Enlargement',
            self::Locus => 'Locus',
            self::Length => 'Length',
            self::Angle => 'Angle',
            self::Area => 'Area',
            self::Slope => 'Slope',
            self::Coordinates => 'Coordinates',
            self::Graph => 'Graph',
        };
    }

    /**
     * The number that is typed for it: what it is, what it is at first, the least and the most; null where there is
     * none. A radius is in what the page is measured in.
     *
     * @return array{string, int, int|float, int}|null
     */
    public function number(): ?array
    {
        return match ($this) {
            self::Regular => ['Corners', 4, 3, 20],
            self::Rotation => ['Degrees, anticlockwise', 90, -360, 360],
            self::Enlargement => ['Times as far', 2, -100, 100],
            self::Compass => ['Radius', 3, 0.1, 50],
            default => null,
        };
    }

    /** Whether it is dragged by itself. */
    public function isFree(): bool
    {
        return $this === self::Point || $this === self::On;
    }
}
