<?php

declare(strict_types=1);

namespace Crag\School;

/**
 * The ends of a school's e-mail addresses: whoever has such an address is sent an invitation when they ask for one. A
 * name beneath one, as in staff.sillbeck.example, is another domain.
 */
final readonly class MailDomains
{
    public const MOST = 20;

    private const LONGEST = 253;

    /** @param  list<string>  $names  in lower case, each once */
    private function __construct(public array $names)
    {
    }

    /**
     * @param  string  $text  names with a comma, a space or a line's end between them, with an @ before them or without
     *
     * @throws UnreadableDomain
     */
    public static function read(string $text): self
    {
        $names = [];
        foreach (preg_split('/[\s,;]+/', mb_strtolower($text), flags: PREG_SPLIT_NO_EMPTY) ?: [] as $word) {
            $name = ltrim($word, '@');
            // Labels of RFC 1035, section 2.3.1, of which the last is not a number; at least two.
            $isName =
                preg_match('/\A(?:[a-z0-9](?:[a-z0-9-]{0,61}[a-z0-9])?\.)+[a-z][a-z0-9-]*[a-z0-9]\z/', $name) === 1;
            if (! $isName || strlen($name) > self::LONGEST) {
                throw UnreadableDomain::called($word);
            }
            $names[] = $name;
        }
        $names = array_values(array_unique($names));

        return count($names) <= self::MOST ? new self($names) : throw UnreadableDomain::tooMany();
    }

    /** @param  string  $address  one that was found to be an e-mail address */
    public function have(string $address): bool
    {
        return in_array(mb_strtolower(substr((string) strrchr($address, '@'), 1)), $this->names, true);
    }

    public function text(): string
    {
        return implode(', ', $this->names);
    }
}
