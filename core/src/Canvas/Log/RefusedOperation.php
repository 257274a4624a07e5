<?php

declare(strict_types=1);

namespace Crag\Canvas\Log;

use DomainException;

/** An operation that can be read but may not be appended to this canvas. */
final class RefusedOperation extends DomainException
{
    public static function layer(Layer $layer): self
    {
        return new self("You may not write on the {$layer->value} layer.");
    }

    public static function unknownTarget(string $id): self
    {
        return new self("There is nothing called \"{$id}\" on this canvas.");
    }

    public static function notYours(string $id): self
    {
        return new self("\"{$id}\" was made by somebody else.");
    }

    public static function notThatKind(string $id, OperationKind $kind): self
    {
        return new self("\"{$id}\" cannot be the target of \"{$kind->value}\".");
    }

    public static function full(int $limit): self
    {
        return new self("This canvas is full: it holds {$limit} operations.");
    }

    public static function large(int $megabytes): self
    {
        return new self("That is too much at once: one step may have {$megabytes} MB.");
    }

    public static function heavyCanvas(int $megabytes): self
    {
        return new self("This page is full: it holds {$megabytes} MB of work.");
    }

    public static function heavySeat(int $megabytes): self
    {
        return new self("You have no room left in this session: one student's work may have {$megabytes} MB.");
    }

    public static function heavySession(int $megabytes): self
    {
        return new self("This session is full: it holds {$megabytes} MB of work. Tell your teacher.");
    }

    public static function onlyAStudent(): self
    {
        return new self('Only students answer.');
    }

    public static function unknownQuestion(): self
    {
        return new self('That question is no longer asked.');
    }

    public static function noSuchAnswer(): self
    {
        return new self('That is no answer to this question.');
    }

    public static function onlyTheTeacher(OperationKind $kind): self
    {
        return new self("Only the teacher can \"{$kind->value}\".");
    }

    public static function tool(): self
    {
        return new self('The tool that this was made with is not in the tray now.');
    }

    public static function unknownPicture(string $id): self
    {
        return new self("There is no picture \"{$id}\" here that you may use.");
    }

    public static function pageFull(int $limit): self
    {
        return new self("This page is full: it holds {$limit} objects.");
    }

    public static function manyPages(int $limit): self
    {
        return new self("A canvas has at most {$limit} pages.");
    }
}
