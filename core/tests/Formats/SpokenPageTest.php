<?php

declare(strict_types=1);

namespace Crag\Tests\Formats;

use Crag\Canvas\Log\Author;
use Crag\Canvas\Log\Operation;
use Crag\Formats\Captions;
use Crag\Formats\SpokenPage;
use Crag\Render\NoPictures;
use PHPUnit\Framework\TestCase;

/** A recording and the drawing on one page. */
final class SpokenPageTest extends TestCase
{
    private const BEGAN = 1_000_000;

    public function test_each_step_is_there_from_its_moment_on_and_written_once(): void
    {
        $log = [
            $this->add('before', 'Before', -5_000),
            $this->add('one', 'One', 2_000),
            $this->operation('two', 'remove', ['targets' => ['before']], 4_000),
            $this->operation('three', 'withdraw', ['target' => 'two'], 5_000),
            $this->add('after', 'After', 90_000),
        ];
        $film = $this->film($log, Captions::read('It tips.', 8_000));
        self::assertSame([0, 0, 2_000, 4_000, 5_000, 8_000], array_column($film['frames'], 'at'));
        self::assertSame(
            [[], ['Before'], ['Before', 'One'], ['One'], ['Before', 'One'], ['Before', 'One', 'After']],
            array_map(
                fn (array $frame): array => $this->words($film['drawings'], $frame['of']),
                $film['frames'],
            ),
        );
        self::assertSame([1600, 1000], $film['frames'][0]['size']);
        self::assertCount(4, $film['drawings'], 'the paper and three texts');
        self::assertSame('It tips.', $film['captions'][0]['words']);
    }

    public function test_nothing_that_was_written_runs(): void
    {
        $html = SpokenPage::html(
            '<b>Wren</b> & co',
            'en',
            [$this->add('one', '</script><script>alert(1)</script>', 1_000)],
            self::BEGAN,
            8_000,
            Captions::read('</script><img src=x>', 8_000),
            'a"b.webm',
            true,
            new NoPictures(),
        );
        self::assertStringContainsString('&lt;b&gt;Wren&lt;/b&gt; &amp; co', $html);
        self::assertStringContainsString('<video controls src="a&quot;b.webm"', $html);
        self::assertSame(2, substr_count($html, '</script>'));
        self::assertStringNotContainsString('<img', $html);
    }

    /**
     * @param  list<Operation>  $log
     * @return array{
     *     frames: list<array{at: int, size: array{int, int}, of: list<int>}>, drawings: list<string>,
     *     captions: list<array{from: int, to: int, words: string}>,
     * }
     */
    private function film(array $log, Captions $captions): array
    {
        $html = SpokenPage::html('Wren', 'en', $log, self::BEGAN, 8_000, $captions, 'talk.webm', false, new NoPictures());
        preg_match('#id="film">(.*?)</script>#s', $html, $found);

        $film = json_decode($found[1] ?? '', true, flags: JSON_THROW_ON_ERROR);
        self::assertIsArray($film);

        // @phpstan-ignore return.type (what it holds is what is tested)
        return $film;
    }

    /**
     * @param  list<string>  $drawings
     * @param  list<int>  $of
     * @return list<string> the texts that are seen
     */
    private function words(array $drawings, array $of): array
    {
        preg_match_all('/Before|One|After/', implode('', array_map(static fn (int $n): string => $drawings[$n], $of)), $found);

        return $found[0];
    }

    private function add(string $id, string $words, int $at): Operation
    {
        return $this->operation($id, 'add', ['object' => [
            'type' => 'text', 'text' => $words, 'x' => 1000, 'y' => 1000, 'size' => 36, 'colour' => '#000000',
        ]], $at);
    }

    /** @param  array<string, mixed>  $body */
    private function operation(string $id, string $kind, array $body, int $at): Operation
    {
        return Operation::read(
            ['id' => $id, 'kind' => $kind, 'layer' => 'student', 'at' => self::BEGAN + $at, 'body' => $body],
            Author::seat('seat'),
            true,
        );
    }
}
