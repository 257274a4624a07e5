<?php

declare(strict_types=1);

namespace Tests\Support;

use CurlHandle;
use PHPUnit\Framework\Assert;
use RuntimeException;

/** Somebody at a Crag without a page: asks, sends forms, and has cookies of their own. */
final class Visitor
{
    private readonly CurlHandle $browser;

    public function __construct(private readonly string $address)
    {
        $this->browser = curl_init() ?: throw new RuntimeException('curl cannot start.');
        // Cookies in memory, for this one alone.
        curl_setopt($this->browser, CURLOPT_COOKIEFILE, '');
    }

    /**
     * @param  array<string, string>|string|null  $body  a form's fields, or what is sent as it is
     * @param  list<string>  $headers
     * @return array{status: int, head: string, location: string, body: string}
     */
    public function ask(string $method, string $path, array|string|null $body = null, array $headers = []): array
    {
        curl_setopt_array($this->browser, [
            CURLOPT_URL => $this->address.$path,
            CURLOPT_CUSTOMREQUEST => $method,
            CURLOPT_NOBODY => $method === 'HEAD',
            CURLOPT_RETURNTRANSFER => true,
            CURLOPT_HEADER => true,
            CURLOPT_HTTPHEADER => $headers,
            CURLOPT_TIMEOUT => 60,
        ]);
        if ($body !== null) {
            curl_setopt($this->browser, CURLOPT_POSTFIELDS, is_array($body) ? http_build_query($body) : $body);
        } elseif ($method === 'GET') {
            curl_setopt($this->browser, CURLOPT_HTTPGET, true);
        }
        $answer = (string) curl_exec($this->browser);
        $length = curl_getinfo($this->browser, CURLINFO_HEADER_SIZE);
        $head = substr($answer, 0, $length);
        preg_match('/^Location: (\S+)/mi', $head, $found);

        return [
            'status' => curl_getinfo($this->browser, CURLINFO_RESPONSE_CODE),
            'head' => $head,
            'location' => $found[1] ?? '',
            'body' => substr($answer, $length),
        ];
    }

    /** @return string what a page's forms are sent with */
    public function token(string $page): string
    {
        Assert::assertSame(1, preg_match('/name="_token" value="([^"]+)"/', $this->ask('GET', $page)['body'], $found));

        return $found[1] ?? '';
    }

    /**
     * Sends a form of a page.
     *
     * @param  array<string, string>  $fields
     * @return string the path that it leads to
     */
    public function submit(string $page, string $to, array $fields): string
    {
        $answer = $this->ask('POST', $to, ['_token' => $this->token($page)] + $fields);
        Assert::assertSame(302, $answer['status'], $to);

        return (string) parse_url($answer['location'], PHP_URL_PATH);
    }

    /** @return string the path of the desk */
    public function start(string $title): string
    {
        return $this->submit('/', '/start', ['name' => 'Ms Okafor-Lind', 'title' => $title]);
    }

    /** @return string the path of the student's page */
    public function join(string $name, string $code): string
    {
        return $this->submit("/join/{$code}", '/join', ['code' => $code, 'name' => $name]);
    }

    /** @return list<array{name: string, value: string, httpOnly: bool}> */
    public function cookies(): array
    {
        $lines = curl_getinfo($this->browser, CURLINFO_COOKIELIST);

        return array_map(static function (string $line): array {
            // Netscape's format: domain, for the domains below it, path, secure, until, name, value.
            $parts = explode("\t", $line);

            return ['name' => $parts[5], 'value' => $parts[6], 'httpOnly' => str_starts_with($line, '#HttpOnly_')];
        }, is_array($lines) ? $lines : []);
    }
}
