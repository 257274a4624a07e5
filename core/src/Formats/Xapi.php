<?php

declare(strict_types=1);

namespace Crag\Formats;

/**
 * Statements of the Experience API 1.0.3 (ADL; IEEE 9274.1.1 has the same shape), part 2, clause 2: who did what, with
 * what result. Ids are UUIDs worked out from what is stated (RFC 9562, version 5), so that the same record sent twice
 * says the same once. Activities and actors are named under an address that the caller gives.
 */
final readonly class Xapi
{
    private const VERBS = [
        'attempted' => 'http://adlnet.gov/expapi/verbs/attempted',
        'answered' => 'http://adlnet.gov/expapi/verbs/answered',
        'completed' => 'http://adlnet.gov/expapi/verbs/completed',
        'scored' => 'http://adlnet.gov/expapi/verbs/scored',
    ];

    private const QUESTION = 'http://adlnet.gov/expapi/activities/question';

    private const TASK = 'http://adlnet.gov/expapi/activities/assessment';

    /**
     * @param  string  $base  an absolute address without a stroke at its end
     * @param  string  $session  the session's id
     * @param  string  $title  the session's
     */
    public function __construct(private string $base, private string $session, private string $title)
    {
    }

    /** @return array<string, mixed> work on a prompt was begun */
    public function attempted(string $seat, string $name, string $prompt, string $words, int $atMs): array
    {
        return $this->statement('attempted', $seat, $name, $this->prompt($prompt, $words), $atMs);
    }

    /** @return array<string, mixed> it was sent to the teacher */
    public function completed(string $seat, string $name, string $prompt, string $words, int $atMs): array
    {
        return $this->statement('completed', $seat, $name, $this->prompt($prompt, $words), $atMs, [
            'completion' => true,
        ]);
    }

    /**
     * @param  float  $share  how secure it is, from 0 to 1
     * @param  ?float  $points  where they were given out of a known most
     * @return array<string, mixed> a teacher checked it
     */
    public function scored(
        string $seat,
        string $name,
        string $prompt,
        string $words,
        float $share,
        ?float $points,
        ?float $most,
        int $atMs,
    ): array {
        return $this->statement('scored', $seat, $name, $this->prompt($prompt, $words), $atMs, [
            'score' => ['scaled' => round($share, 4)] +
                ($points === null || $most === null ? [] : ['raw' => $points, 'min' => 0, 'max' => $most]),
        ]);
    }

    /**
     * @param  ?bool  $isRight  null where there is no right and wrong
     * @return array<string, mixed> a question was answered
     */
    public function answered(
        string $seat,
        string $name,
        string $prompt,
        string $question,
        string $words,
        string $answer,
        ?bool $isRight,
        int $atMs,
    ): array {
        $object = self::activity(
            "{$this->base}/session/{$this->session}/prompt/{$prompt}/question/".rawurlencode($question),
            $words,
            self::QUESTION,
        );

        return $this->statement(
            'answered',
            $seat,
            $name,
            $object,
            $atMs,
            ['response' => $answer] + ($isRight === null ? [] : ['success' => $isRight]),
        );
    }

    /**
     * @param  array<string, mixed>  $object
     * @param  array<string, mixed>  $result
     * @return array<string, mixed>
     */
    private function statement(
        string $verb,
        string $seat,
        string $name,
        array $object,
        int $atMs,
        array $result = [],
    ): array {
        $stated = [
            'actor' => [
                'objectType' => 'Agent',
                'name' => $name,
                'account' => ['homePage' => $this->base, 'name' => "{$this->session}.{$seat}"],
            ],
            'verb' => ['id' => self::VERBS[$verb], 'display' => ['en' => $verb]],
            'object' => $object,
        ] +
            ($result === [] ? [] : ['result' => $result]) + [
                'context' => [
                    'platform' => 'Crag',
                    'contextActivities' => [
                        'parent' => [
                            self::activity("{$this->base}/session/{$this->session}", $this->title, self::TASK),
                        ],
                    ],
                ],
                'timestamp' => self::time($atMs),
            ];

        return ['id' => self::uuid($this->base.json_encode($stated, JSON_THROW_ON_ERROR))] +
            $stated + ['version' => '1.0.3'];
    }

    /** @return array<string, mixed> */
    private function prompt(string $prompt, string $words): array
    {
        return self::activity("{$this->base}/session/{$this->session}/prompt/{$prompt}", $words, self::TASK);
    }

    /** @return array<string, mixed> */
    private static function activity(string $id, string $name, string $type): array
    {
        return [
            'objectType' => 'Activity',
            'id' => $id,
            'definition' => ['type' => $type] + ($name === '' ? [] : ['name' => ['und' => $name]]),
        ];
    }

    /** RFC 3339, in UTC, with milliseconds. */
    private static function time(int $ms): string
    {
        return gmdate('Y-m-d\TH:i:s', intdiv($ms, 1000)).sprintf('.%03dZ', $ms % 1000);
    }

    private static function uuid(string $stated): string
    {
        // The namespace for addresses, RFC 9562, 6.6.
        $hash = sha1((string) hex2bin('6ba7b8119dad11d180b400c04fd430c8').$stated);

        return sprintf(
            '%s-%s-5%s-%x%s-%s',
            substr($hash, 0, 8),
            substr($hash, 8, 4),
            substr($hash, 13, 3),
            (hexdec($hash[16]) & 0x3) | 0x8,
            substr($hash, 17, 3),
            substr($hash, 20, 12),
        );
    }
}
