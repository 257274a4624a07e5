<?php

declare(strict_types=1);

namespace App\Console;

use App\Console\Mirror\JavaScript;
use Crag\Manipulative\Columns;
use Crag\Manipulative\Laid;
use Crag\Manipulative\ManipulativeKind;
use Crag\Manipulative\Mat;
use Crag\Manipulative\Seeded;
use Crag\Manipulative\Solids;
use Crag\Manipulative\Tokens;
use Crag\Manipulative\Turn;
use Crag\Manipulative\Written;
use Illuminate\Console\Command;
use LogicException;
use PhpParser\Node;
use PhpParser\Node\ArrayItem;
use PhpParser\Node\Expr\StaticCall;
use PhpParser\Node\Name;
use PhpParser\Node\Scalar\String_;
use PhpParser\Node\Stmt\Class_;
use PhpParser\NodeFinder;
use PhpParser\ParserFactory;
use ReflectionClass;

/** Writes the rules of manipulatives for the page, so that they stand in the core and nowhere else. */
final class WriteRules extends Command
{
    public const FILE = 'ts/canvas/model/manipulative/rules.js';

    public const WORDS = 'Http/Words/PieceWords.php';

    private const SHARED = [
        Columns::class, Laid::class, Mat::class, Seeded::class,
        Solids::class, Tokens::class, Turn::class, Written::class,
    ];

    /** What only the server needs of a kind. */
    private const LEFT = ['facts', 'factWords'];

    protected $signature = 'crag:rules';

    protected $description = 'Write the rules of manipulatives for the page';

    public function handle(): int
    {
        file_put_contents(resource_path(self::FILE), self::written());
        file_put_contents(app_path(self::WORDS), self::sentences());

        return self::SUCCESS;
    }

    /** What the file has to hold. */
    public static function written(): string
    {
        $writer = new JavaScript(self::LEFT);
        $kinds = ManipulativeKind::cases();
        $classes = [...self::SHARED, ...array_map(static fn (ManipulativeKind $one): string => $one->rules(), $kinds)];
        $written = array_map(static fn (string $class): string => $writer->write(self::parsed($class)), $classes);
        $names = array_map(
            static fn (ManipulativeKind $one): string => "    {$one->value}: ".class_basename($one->rules()).",\n",
            $kinds,
        );

        return implode('
', [
            '// Written by `php artisan crag:rules` from core/src/Manipulative; `./crag fix` runs it.',
            "import { Said } from './said';",
            "import { Field, Setting } from './setting';",
            "import { same, Values } from './values';",
            '',
            ...$written,
            'export const RULES = {
'.implode('', $names).'};
',
        ]);
    }

    /** The sentences of manipulatives, where they can be put into another language. */
    public static function sentences(): string
    {
        $found = [];
        $isTold = static fn (Node $node): bool => $node instanceof StaticCall &&
            $node->class instanceof Name &&
            in_array($node->class->getLast(), ['Said', 'Setting'], true);
        foreach ([...self::SHARED, ...array_map(
            static fn (ManipulativeKind $one): string => $one->rules(),
            ManipulativeKind::cases(),
        )] as $class) {
            $finder = new NodeFinder();
            foreach ($finder->find(self::parsed($class), $isTold) as $call) {
                foreach ($finder->findInstanceOf($call, ArrayItem::class) as $item) {
                    $item->key = null;
                }
                foreach ($finder->findInstanceOf($call, String_::class) as $words) {
                    $found[$words->value] = preg_match('/\p{Lu}|:[a-z]|\p{L} /u', $words->value) === 1;
                }
            }
        }
        $told = array_map(strval(...), array_keys(array_filter($found)));
        sort($told);

        return implode("\n", [
            "<?php\n\ndeclare(strict_types=1);\n\nnamespace App\\Http\\Words;\n",
            '/** What manipulatives say, in English. Written by `php artisan crag:rules`; `./crag fix` runs it. */',
            "final class PieceWords\n{\n    public const ENGLISH = [",
            ...array_map(static fn (string $one): string => '        '.var_export($one, true).',', $told),
            "    ];\n",
            '    /** @return array<string, string> by the English, what is said otherwise in the language of the page */',
            "    public static function translated(): array\n    {\n        \$said = [];",
            '        foreach (self::ENGLISH as $english) {',
            '            if (__($english) !== $english) {',
            "                \$said[\$english] = __(\$english);\n            }\n        }\n",
            "        return \$said;\n    }\n}\n",
        ]);
    }

    /** @param  class-string  $class */
    private static function parsed(string $class): Class_
    {
        $source = file_get_contents((string) (new ReflectionClass($class))->getFileName());
        $tree = (new ParserFactory())->createForHostVersion()->parse((string) $source);
        $found = (new NodeFinder())->findFirstInstanceOf($tree ?? [], Class_::class);

        return $found instanceof Class_ ? $found : throw new LogicException("No class in the file of {$class}.");
    }
}
