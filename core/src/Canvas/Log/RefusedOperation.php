<?php

declare(strict_types=1);

namespace Crag\Canvas\Log;

use DomainException;

/** An operation that can be read but may not be appended to this canvas. */
final class RefusedOperation extends DomainException
{
    public static function wrongLayer(): self
    {
        return new self('You can’t write there.');
    }

    public static function unknownTarget(): self
    {
        return new self('What you changed isn’t on this canvas any more.');
    }

    public static function notYours(): self
    {
        return new self('Someone else made that, so you can’t change it.');
    }

    public static function clearsForOthers(): self
    {
        return new self('Others draw here too, so you can’t clear the page. Undo or rub out your own work.');
    }

    public static function notThatKind(): self
    {
        return new self('That can’t be done to this.');
    }

    public static function full(int $limit): self
    {
        return new self('This canvas is full.');
    }

    public static function large(int $megabytes): self
    {
        return new self("That’s too much at once: one step can have up to {$megabytes} MB.");
    }

    public static function heavyCanvas(int $megabytes): self
    {
        return new self("This page is full: it has {$megabytes} MB of work.");
    }

    public static function heavySeat(int $megabytes): self
    {
        return new self("You’ve no room left in this session: one student can have up to {$megabytes} MB.");
    }

    public static function heavySession(int $megabytes): self
    {
        return new self("This session is full: it has {$megabytes} MB of work. Tell your teacher.");
    }

    public static function onlyAStudent(): self
    {
        return new self('Only students can answer.');
    }

    public static function unknownQuestion(): self
    {
        return new self('That question is no longer asked.');
    }

    public static function noSuchAnswer(): self
    {
        return new self('That isn’t an answer to this question.');
    }

    public static function onlyTheTeacher(OperationKind $kind): self
    {
        return new self('Only the teacher can do that.');
    }

    public static function tool(): self
    {
        return new self('Your tray doesn’t have the tool for that any more.');
    }

    public static function unknownPicture(string $id): self
    {
        return new self('You can’t use that picture here.');
    }

    public static function pageFull(int $limit): self
    {
        return new self("This page is full: it has {$limit} objects.");
    }

    public static function manyPages(int $limit): self
    {
        return new self("A canvas has at most {$limit} pages.");
    }
}
