<?php

declare(strict_types=1);

namespace Crag\Formats;

/**
 * How one browser can be reached by another for sound: a session description (RFC 8866) with its candidates
 * (RFC 8839). It is passed on only when it is of one stream of sound, and with no more addresses than may be told.
 */
final class SessionDescription
{
    /** Characters; a browser's own with a dozen candidates takes 4,000. */
    public const LONGEST = 20_000;

    /**
     * @param  list<string>  $networks  such as 10.20.0.0/16: candidates elsewhere are left out; none for all of them.
     *      What a TURN server passes on is an address of that server, and always told
     *
     * @throws UnusableDescription
     */
    public static function read(string $text, array $networks = []): string
    {
        $lines = preg_split('/\r?\n/', trim($text)) ?: [];
        $media = array_values(array_filter($lines, static fn (string $line): bool => str_starts_with($line, 'm=')));
        if (
            strlen($text) > self::LONGEST ||
            $lines[0] !== 'v=0' ||
            count($media) !== 1 ||
            ! str_starts_with($media[0], 'm=audio ')
        ) {
            throw new UnusableDescription('That isn’t the sound of one talk.');
        }
        foreach ($lines as $line) {
            if (preg_match('/^[a-z]=[^\x00-\x1F\x7F]*$/u', $line) !== 1) {
                throw new UnusableDescription('That isn’t the sound of one talk.');
            }
        }
        $told = array_filter($lines, static fn (string $line): bool => self::mayBeTold($line, $networks));

        return implode("\r\n", $told)."\r\n";
    }

    /** @param  list<string>  $networks */
    private static function mayBeTold(string $line, array $networks): bool
    {
        if ($networks === [] || ! str_starts_with($line, 'a=candidate:')) {
            return true;
        }
        // foundation, component, transport, priority, address, port, "typ", type
        $parts = explode(' ', $line);

        return ($parts[7] ?? '') === 'relay' || self::isIn($parts[4] ?? '', $networks);
    }

    /** @param  list<string>  $networks */
    private static function isIn(string $address, array $networks): bool
    {
        $bits = self::bits($address);
        foreach ($bits === '' ? [] : $networks as $network) {
            [$of, $length] = explode('/', "{$network}/");
            $of = self::bits(trim($of));
            $length = $length === '' ? strlen($of) : (int) $length;
            if ($of !== '' && strlen($of) === strlen($bits) && strncmp($of, $bits, $length) === 0) {
                return true;
            }
        }

        return false;
    }

    /** An address as ones and zeros; empty where it is a name. */
    private static function bits(string $address): string
    {
        $bytes = filter_var($address, FILTER_VALIDATE_IP) === false ? '' : (string) inet_pton($address);

        return implode('', array_map(
            static fn (string $byte): string => sprintf('%08b', ord($byte)),
            $bytes === '' ? [] : str_split($bytes),
        ));
    }
}
