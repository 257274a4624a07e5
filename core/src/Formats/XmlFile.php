<?php

declare(strict_types=1);

namespace Crag\Formats;

use DOMDocument;
use DOMElement;

/** Opens XML from strangers: no document type, so no entities, and nothing is fetched. */
final class XmlFile
{
    /**
     * What the word DOCTYPE looks the same in, and a parser reads the same: others could hide it from one of the two.
     */
    private const ENCODINGS = '/\A(?:utf-?8|us-ascii|ascii|iso-8859-\d+|latin-?1|windows-125\d)\z/i';

    /** @throws UnreadableFile */
    public static function root(string $xml, string $format, string $rootName): DOMElement
    {
        $before = libxml_use_internal_errors(true);
        $document = new DOMDocument();
        $read = self::isPlain($xml) && $document->loadXML($xml, LIBXML_NONET | LIBXML_COMPACT);
        libxml_clear_errors();
        libxml_use_internal_errors($before);
        $root = $read && $document->doctype === null ? $document->documentElement : null;
        if ($root === null || $root->localName !== $rootName) {
            throw UnreadableFile::notXml($format);
        }

        return $root;
    }

    private static function isPlain(string $xml): bool
    {
        $told =
            preg_match('/\A[^>]{0,200}?encoding\s*=\s*["\']([^"\']*)["\']/', $xml, $found) === 1 ? $found[1] : 'utf-8';

        // A zero byte tells UTF-16 and UTF-32, whatever they say of themselves.
        return trim($xml) !== '' &&
            ! str_contains($xml, "\0") &&
            ! preg_match('/\A\+\/v/', $xml) &&
            preg_match(self::ENCODINGS, $told) === 1 &&
            ! preg_match('/<!DOCTYPE|<!ENTITY/i', $xml);
    }

    /** @return list<DOMElement> elements of this name within, in the order of the file */
    public static function all(DOMElement $within, string $name): array
    {
        // Step by step: PHP's own lists of elements count from the beginning for each one.
        $found = [];
        $node = $within->firstChild;
        while ($node !== null) {
            if ($node instanceof DOMElement && $node->localName === $name) {
                $found[] = $node;
            }
            $next = $node->firstChild ?? $node->nextSibling;
            while ($next === null && $node->parentNode !== null && ! $node->parentNode->isSameNode($within)) {
                $node = $node->parentNode;
                $next = $node->nextSibling;
            }
            $node = $next;
        }

        return $found;
    }
}
