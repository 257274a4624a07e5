<?php

declare(strict_types=1);

namespace Crag\Formats;

use DOMDocument;
use DOMElement;

/** Opens XML from strangers: no document type, so no entities, and nothing is fetched. */
final class XmlFile
{
    /** @throws UnreadableFile */
    public static function root(string $xml, string $format, string $rootName): DOMElement
    {
        $before = libxml_use_internal_errors(true);
        $document = new DOMDocument;
        $read = trim($xml) !== '' && ! preg_match('/<!DOCTYPE|<!ENTITY/i', $xml) && $document->loadXML($xml, LIBXML_NONET | LIBXML_COMPACT);
        libxml_clear_errors();
        libxml_use_internal_errors($before);
        $root = $read ? $document->documentElement : null;
        if ($root === null || $root->localName !== $rootName) {
            throw UnreadableFile::notXml($format);
        }

        return $root;
    }

    /** @return list<DOMElement> elements of this name within, in the order of the file */
    public static function all(DOMElement $within, string $name): array
    {
        $found = [];
        foreach ($within->getElementsByTagNameNS('*', $name) as $element) {
            $found[] = $element;
        }

        return $found;
    }
}
