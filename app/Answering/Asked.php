<?php

declare(strict_types=1);

namespace App\Answering;

use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Request as SymfonyRequest;

/**
 * A request as the framework knows it, from what nginx says of it; PHP itself does this for those that begin with it.
 */
final class Asked
{
    /** @param  array<string, string>  $server  the names of CGI (RFC 3875) */
    public static function request(array $server, string $body): Request
    {
        // So many fields as PHP takes, and no word about those that are left.
        @parse_str($server['QUERY_STRING'] ?? '', $query);
        $isForm = str_starts_with(strtolower($server['CONTENT_TYPE'] ?? ''), 'application/x-www-form-urlencoded');
        $form = [];
        if ($isForm) {
            @parse_str($body, $form);
        }
        $cookies = self::cookies($server['HTTP_COOKIE'] ?? '');
        $now = microtime(true);
        $server += ['REQUEST_TIME' => (int) $now, 'REQUEST_TIME_FLOAT' => $now, 'PHP_SELF' => '/index.php'];

        return Request::createFromBase(new SymfonyRequest($query, $form, [], $cookies, [], $server, $body));
    }

    /** @return array<string, string> the first of a name counts, as with PHP's own */
    private static function cookies(string $line): array
    {
        $cookies = [];
        foreach (explode(';', $line) as $one) {
            [$name, $value] = explode('=', trim($one), 2) + ['', ''];
            if ($name !== '') {
                $cookies += [rawurldecode($name) => rawurldecode($value)];
            }
        }

        return $cookies;
    }
}
