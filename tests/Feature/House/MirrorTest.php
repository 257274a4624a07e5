<?php

declare(strict_types=1);

namespace Tests\Feature\House;

use App\Console\Mirror\JavaScript;
use LogicException;
use PhpParser\Node\Stmt\Class_;
use PhpParser\NodeFinder;
use PhpParser\ParserFactory;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What the page cannot run in the same way is not written for it. */
final class MirrorTest extends TestCase
{
    public function test_methods_of_the_server_are_left_out_and_lists_are_compared_by_what_is_in_them(): void
    {
        $written = self::written('public static function a(array $x): bool { return $x === [1]; }
            public static function facts(): array { return eval("[]"); }');
        self::assertStringContainsString('return same(x, [1]);', $written);
        self::assertStringNotContainsString('facts', $written);
    }

    public function test_a_name_that_the_language_keeps_for_itself_gets_another(): void
    {
        self::assertStringContainsString('with_ = 3', self::written('public static function a(): void { $with = 3; }'));
    }

    /** @return iterable<string, array{string}> */
    public static function strange(): iterable
    {
        yield 'a function that is not known' => ['return strrev("a");'];
        yield 'equal without the types' => ['return $x == 1;'];
        yield 'a reference' => ['foreach ($x as &$y) { sort($y); }'];
        yield 'arguments by name' => ['return self::a(x: 1);'];
        yield 'an object' => ['return new \stdClass();'];
        yield 'what is thrown' => ['throw new \Exception();'];
        yield 'a loop that is left' => ['while (true) { break; }'];
        yield 'a constant that is not known' => ['return PHP_INT_MAX;'];
    }

    #[DataProvider('strange')]
    public function test_anything_else_stops_the_build(string $body): void
    {
        $this->expectException(LogicException::class);
        self::written("public static function a(\$x) { {$body} }");
    }

    private static function written(string $members): string
    {
        $tree = (new ParserFactory())->createForHostVersion()->parse("<?php final class One { {$members} }");
        $class = (new NodeFinder())->findFirstInstanceOf($tree ?? [], Class_::class);
        self::assertInstanceOf(Class_::class, $class);

        return (new JavaScript(['facts']))->write($class);
    }
}
