<?php

declare(strict_types=1);

namespace Crag\Canvas\Object;

use Crag\Canvas\Log\UnreadableOperation;
use Crag\Construct\Element;
use Crag\Json\Fields;
use Crag\Json\UnreadableFields;
use Crag\Manipulative\Act;
use Crag\Manipulative\Setting;

/** The one list of object kinds: their JSON "type", what reads them, and what of them can be changed. */
final class ReadObject
{
    private const CHANGEABLE = [
        Stroke::TYPE => Stroke::CHANGEABLE,
        Stroke::HIGHLIGHT => Stroke::CHANGEABLE,
        Text::TYPE => Text::CHANGEABLE,
        Maths::TYPE => Maths::CHANGEABLE,
        Note::TYPE => Note::CHANGEABLE,
        Stamp::TYPE => Stamp::CHANGEABLE,
        Picture::TYPE => Picture::CHANGEABLE,
        Piece::TYPE => Piece::CHANGEABLE,
        Construct::TYPE => Construct::CHANGEABLE,
        Manipulative::TYPE => Manipulative::CHANGEABLE,
    ];

    /** @throws UnreadableFields */
    public static function from(Fields $fields): CanvasObject
    {
        $type = $fields->text('type');

        return match ($type) {
            Stroke::TYPE, Stroke::HIGHLIGHT => Stroke::read($fields),
            Text::TYPE => Text::read($fields),
            Maths::TYPE => Maths::read($fields),
            Note::TYPE => Note::read($fields),
            Stamp::TYPE => Stamp::read($fields),
            Picture::TYPE => Picture::read($fields),
            Piece::TYPE => Piece::read($fields),
            Construct::TYPE => Construct::read($fields),
            Manipulative::TYPE => Manipulative::read($fields),
            default => self::shape($type, $fields),
        };
    }

    private static function shape(string $type, Fields $fields): CanvasObject
    {
        return match (true) {
            in_array($type, BoxShape::TYPES, true) => BoxShape::read($fields),
            in_array($type, PointShape::TYPES, true) => PointShape::read($fields),
            default => throw UnreadableOperation::unknownObject($type),
        };
    }

    /** @return list<string> the fields of this kind of object that can be set anew */
    public static function changeable(string $type): array
    {
        return match (true) {
            in_array($type, BoxShape::TYPES, true) => BoxShape::CHANGEABLE,
            in_array($type, PointShape::TYPES, true) => PointShape::CHANGEABLE,
            default => self::CHANGEABLE[$type] ?? [],
        };
    }

    /**
     * The same object with some fields set anew.
     *
     * @param  array<string, mixed>  $set  fields as {@see self::settings} gives them
     *
     * @throws UnreadableFields when they make no such object
     */
    public static function with(CanvasObject $object, array $set): CanvasObject
    {
        $before = $object->toArray();
        $type = is_string($before['type']) ? $before['type'] : '';
        if (array_diff(array_keys($set), self::changeable($type)) !== []) {
            throw UnreadableFields::badValue('set', 'names a field that cannot be changed');
        }

        if ($object instanceof Construct || $object instanceof Manipulative) {
            return $object->with($set);
        }

        // A line whose ends are put elsewhere by hand is tied no more.
        if (array_intersect_key($set, ['x' => 0, 'y' => 0, 'w' => 0, 'h' => 0]) !== []) {
            unset($before['start'], $before['end']);
        }

        return self::from(new Fields([...$before, ...$set], true));
    }

    /**
     * Fields to be set anew, each checked by itself: a field means the same in every kind of object.
     *
     * @return array<string, mixed>
     *
     * @throws UnreadableFields
     */
    public static function settings(Fields $set): array
    {
        $checked = [];
        foreach ($set->names() as $name) {
            $checked[$name] = match ($name) {
                'colour' => ReadField::colour($set)->hex,
                'width' => ReadField::width($set),
                'fill' => ShapeLook::fill($set)->hex ?? ShapeLook::OWN,
                'strength' => ShapeLook::strength($set),
                'line' => $set->oneOf($name, ShapeLook::LINES),
                'ends' => $set->oneOf($name, ShapeLook::ENDS),
                'filled', 'fixed', 'locked', 'stack', 'free' => $set->flag($name),
                'x', 'y' => ReadField::position($set, $name),
                'w', 'h' => ReadField::length($set, $name),
                'size' => ReadField::size($set),
                'align' => ReadField::align($set),
                'marks' => TextMarks::read($set)->toArray(),
                'list' => $set->oneOf($name, Text::LISTS),
                'face' => $set->oneOf($name, Text::FACES),
                'text' => ReadField::words($set),
                'alt' => ReadField::alt($set),
                'source' => ReadField::source($set),
                'path' => ReadField::path($set)->path,
                'wide', 'tall' => ReadField::ems($set, $name),
                'put' => array_map(
                    static fn (Fields $one): array => Element::read($one)->toArray(),
                    $set->objects($name, Construct::MOST_PUT),
                ),
                'drop' => $set->text($name, Element::LONGEST_ID),
                'act' => Act::read($set->object($name))->toArray(),
                // What of them means anything its kind says, once it is known of what they are the settings.
                'settings' => Setting::within($set->object($name)->all()),
                default => throw UnreadableFields::badValue('set', "cannot change \"{$name}\""),
            };
        }

        return $checked === [] ? throw UnreadableFields::missing('set') : $checked;
    }
}
