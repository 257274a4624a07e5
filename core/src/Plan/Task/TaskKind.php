<?php

declare(strict_types=1);

namespace Crag\Plan\Task;

/** What a student can be asked to try, so that it ticks itself. */
enum TaskKind: string
{
    case Pen = 'pen';
    case Colour = 'colour';
    case Marker = 'marker';
    case Shape = 'shape';
    case Arrow = 'arrow';
    case Stamp = 'stamp';
    case Text = 'text';
    /** Words with a certain word among them. */
    case Word = 'word';
    /** A number with a certain unit. */
    case Unit = 'unit';
    case Note = 'note';
    case Maths = 'maths';
    case Construct = 'construct';
    case Picture = 'picture';
    case Page = 'page';
    case Answer = 'answer';
    case Hand = 'hand';
    case Send = 'send';

    /** What the student reads, where the teacher says nothing else; `:with` is the word or the unit. */
    public function sentence(): string
    {
        return match ($this) {
            self::Pen => 'Draw something with the pen',
            self::Colour => 'Change the colour and draw',
            self::Marker => 'Use the marker',
            self::Shape => 'Draw a shape',
            self::Arrow => 'Draw an arrow',
            self::Stamp => 'Put a stamp on the page',
            self::Text => 'Type something as text',
            self::Word => 'Write the word “:with” as text',
            self::Unit => 'Write a number with :with as text',
            self::Note => 'Stick a note on the page',
            self::Maths => 'Write a formula',
            self::Construct => 'Construct something from points',
            self::Picture => 'Bring in a picture',
            self::Page => 'Add a page',
            self::Answer => 'Answer a question',
            self::Hand => 'Put your hand up',
            self::Send => 'Send your work',
        };
    }

    /** In the list to choose from. */
    public function word(): string
    {
        return match ($this) {
            self::Pen => 'pen',
            self::Colour => 'another colour',
            self::Marker => 'marker',
            self::Shape => 'shape',
            self::Arrow => 'arrow',
            self::Stamp => 'stamp',
            self::Text => 'text',
            self::Word => 'a word',
            self::Unit => 'a number with its unit',
            self::Note => 'note',
            self::Maths => 'formula',
            self::Construct => 'construction',
            self::Picture => 'picture',
            self::Page => 'page',
            self::Answer => 'answer',
            self::Hand => 'hand up',
            self::Send => 'send',
        };
    }

    public function takesWord(): bool
    {
        return $this === self::Word || $this === self::Unit;
    }
}
