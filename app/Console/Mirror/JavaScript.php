<?php

declare(strict_types=1);

namespace App\Console\Mirror;

use LogicException;
use PhpParser\Node;
use PhpParser\Node\Expr;
use PhpParser\Node\Scalar;
use PhpParser\Node\Stmt;
use PhpParser\NodeFinder;

/**
 * The rules of manipulatives in JavaScript: the part of PHP that they are written in, and no more. Whatever else stands
 * there stops the build, so that nothing is carried over that would mean something different.
 */
final class JavaScript
{
    private const BINARY = [
        Expr\BinaryOp\Plus::class => '+',
        Expr\BinaryOp\Minus::class => '-',
        Expr\BinaryOp\Mul::class => '*',
        Expr\BinaryOp\Div::class => '/',
        Expr\BinaryOp\Mod::class => '%',
        Expr\BinaryOp\Pow::class => '**',
        Expr\BinaryOp\BitwiseAnd::class => '&',
        Expr\BinaryOp\BitwiseXor::class => '^',
        Expr\BinaryOp\ShiftLeft::class => '<<',
        Expr\BinaryOp\ShiftRight::class => '>>',
        Expr\BinaryOp\BooleanAnd::class => '&&',
        Expr\BinaryOp\BooleanOr::class => '||',
        Expr\BinaryOp\Smaller::class => '<',
        Expr\BinaryOp\SmallerOrEqual::class => '<=',
        Expr\BinaryOp\Greater::class => '>',
        Expr\BinaryOp\GreaterOrEqual::class => '>=',
        Expr\BinaryOp\Coalesce::class => '??',
    ];

    private const ASSIGNED = [
        Expr\AssignOp\Plus::class => '+=',
        Expr\AssignOp\Minus::class => '-=',
        Expr\AssignOp\Mul::class => '*=',
    ];

    /** What PHP calls them => what stands there; `$1` … are the arguments. */
    private const FUNCTIONS = [
        'abs' => 'Math.abs($1)',
        'atan2' => 'Math.atan2($1, $2)',
        'ceil' => 'Math.ceil($1)',
        'cos' => 'Math.cos($1)',
        'floor' => 'Math.floor($1)',
        'intdiv' => 'Math.trunc($1 / $2)',
        'max' => 'Math.max($all)',
        'min' => 'Math.min($all)',
        'sin' => 'Math.sin($1)',
        'sqrt' => 'Math.sqrt($1)',
        'array_fill' => 'Array($2).fill($3)',
        'array_map' => '$2.map($1)',
        'array_sum' => '$1.reduce((sum, one) => sum + one, 0)',
        'array_values' => '[...$1]',
        'count' => '$1.length',
        'ctype_digit' => '/^[0-9]+$/.test($1)',
        'explode' => '$2.split($1)',
        'implode' => '$2.join($1)',
        'in_array' => '$2.includes($1)',
        'mb_strlen' => '[...$1].length',
        'str_contains' => '$1.includes($2)',
        'strlen' => '$1.length',
        'strtolower' => '$1.toLowerCase()',
        'trim' => '$1.trim()',
    ];

    /** Words of the language that stand for no variable there. */
    private const RESERVED = [
        'case', 'class', 'const', 'default', 'delete', 'enum', 'export', 'extends', 'function', 'import', 'in', 'let',
        'new', 'package', 'super', 'switch', 'this', 'throw', 'typeof', 'var', 'void', 'while', 'with', 'yield',
    ];

    /** The class that is written now. */
    private string $own = '';

    /** @param  list<string>  $left  methods that are the server's alone */
    public function __construct(private readonly array $left)
    {
    }

    /** A class of constants and static methods as an object of the same name. */
    public function write(Stmt\Class_ $class): string
    {
        $this->own = (string) $class->name;
        $members = [];
        foreach ($class->getConstants() as $constants) {
            foreach ($constants->consts as $constant) {
                $members[] = "{$constant->name}: {$this->expression($constant->value)},";
            }
        }
        foreach ($class->getMethods() as $method) {
            if (! in_array($method->name->toString(), $this->left, true)) {
                $members[] = $this->method($method);
            }
        }

        return "export const {$class->name} = {\n".implode("\n", $members)."\n};\n";
    }

    private function method(Stmt\ClassMethod $method): string
    {
        $parameters = array_map(
            fn (Node\Param $one): string => $this->name($one->var).
                ($one->default === null ? '' : " = {$this->expression($one->default)}"),
            $method->params,
        );
        $own = array_map(fn (Node\Param $one): string => $this->name($one->var), $method->params);
        $locals = array_diff($this->assigned($method->stmts ?? []), $own);
        $begin = $locals === [] ? '' : 'let '.implode(', ', $locals).";\n";

        return "{$method->name}(".implode(', ', $parameters).") {\n{$begin}{$this->block($method->stmts ?? [])}},";
    }

    /**
     * @param  Node[]  $statements
     * @return list<string> the variables that get a value there
     */
    private function assigned(array $statements): array
    {
        $found = [];
        $take = function (?Expr $target) use (&$found, &$take): void {
            if ($target instanceof Expr\Variable) {
                $found[$this->name($target)] = true;
            } elseif ($target instanceof Expr\Array_ || $target instanceof Expr\List_) {
                foreach ($target->items as $item) {
                    $take($item?->value);
                }
            }
        };
        $finder = new NodeFinder();
        foreach ($finder->findInstanceOf($statements, Expr\Assign::class) as $assign) {
            $take($assign->var);
        }
        foreach ($finder->findInstanceOf($statements, Stmt\Foreach_::class) as $loop) {
            $take($loop->keyVar);
            $take($loop->valueVar);
        }

        return array_keys($found);
    }

    /** @param  Stmt[]  $statements */
    private function block(array $statements): string
    {
        return implode('', array_map($this->statement(...), $statements));
    }

    private function statement(Stmt $one): string
    {
        return match (true) {
            $one instanceof Stmt\Expression => "{$this->expression($one->expr)};\n",
            $one instanceof Stmt\Return_ => $one->expr === null
                ? "return;\n"
                : "return {$this->expression($one->expr)};\n",
            $one instanceof Stmt\If_ => $this->branch($one),
            $one instanceof Stmt\For_ => 'for ('.implode('; ', array_map(
                fn (array $some): string => implode(', ', array_map($this->expression(...), $some)),
                [$one->init, $one->cond, $one->loop],
            )).") {\n{$this->block($one->stmts)}}\n",
            $one instanceof Stmt\While_ => "while ({$this->expression($one->cond)}) {\n{$this->block($one->stmts)}}\n",
            $one instanceof Stmt\Foreach_ => $this->each($one),
            default => throw $this->unknown($one),
        };
    }

    private function branch(Stmt\If_ $if): string
    {
        $written = "if ({$this->expression($if->cond)}) {\n{$this->block($if->stmts)}}";
        foreach ($if->elseifs as $other) {
            $written .= " else if ({$this->expression($other->cond)}) {\n{$this->block($other->stmts)}}";
        }

        return $written.($if->else === null ? '' : " else {\n{$this->block($if->else->stmts)}}")."\n";
    }

    private function each(Stmt\Foreach_ $loop): string
    {
        $value = $this->expression($loop->valueVar);
        $from = $this->expression($loop->expr);

        return ($loop->keyVar === null
            ? "for ({$value} of {$from}) {\n"
            : "for ([{$this->expression($loop->keyVar)}, {$value}] of {$from}.entries()) {\n").
            "{$this->block($loop->stmts)}}\n";
    }

    private function expression(Expr $one): string
    {
        $sign = self::BINARY[$one::class] ?? null;
        if ($sign !== null && $one instanceof Expr\BinaryOp) {
            return "({$this->expression($one->left)} {$sign} {$this->expression($one->right)})";
        }
        $assigned = self::ASSIGNED[$one::class] ?? null;
        if ($assigned !== null && $one instanceof Expr\AssignOp) {
            return "{$this->expression($one->var)} {$assigned} {$this->expression($one->expr)}";
        }

        return match (true) {
            $one instanceof Scalar\Int_, $one instanceof Scalar\Float_ => (string) $one->value,
            $one instanceof Scalar\String_ => $this->quoted($one->value),
            $one instanceof Expr\Variable => $this->name($one),
            $one instanceof Expr\BinaryOp\Identical => $this->same($one),
            $one instanceof Expr\BinaryOp\NotIdentical => '!'.$this->same($one),
            $one instanceof Expr\BinaryOp\Concat => "(String({$this->expression($one->left)}) + ".
                "String({$this->expression($one->right)}))",
            $one instanceof Expr\Assign => $this->assign($one),
            $one instanceof Expr\PostInc => "{$this->expression($one->var)}++",
            $one instanceof Expr\PostDec => "{$this->expression($one->var)}--",
            $one instanceof Expr\UnaryMinus => "(-{$this->expression($one->expr)})",
            $one instanceof Expr\BooleanNot => "!{$this->expression($one->expr)}",
            $one instanceof Expr\Ternary && $one->if !== null => "({$this->expression($one->cond)} ? ".
                "{$this->expression($one->if)} : {$this->expression($one->else)})",
            $one instanceof Expr\Cast\Int_ => "Math.trunc(Number({$this->expression($one->expr)}))",
            $one instanceof Expr\Cast\String_ => "String({$this->expression($one->expr)})",
            $one instanceof Expr\Array_ => $this->list($one),
            $one instanceof Expr\List_ => $this->places($one),
            $one instanceof Expr\ArrayDimFetch && $one->dim !== null => "{$this->expression($one->var)}".
                "[{$this->expression($one->dim)}]",
            $one instanceof Expr\ClassConstFetch => "{$this->class($one->class)}.{$this->called($one->name)}",
            $one instanceof Expr\ConstFetch => $this->constant($one),
            $one instanceof Expr\StaticCall => "{$this->class($one->class)}.{$this->called($one->name)}".
                "({$this->arguments($one->args)})",
            $one instanceof Expr\MethodCall => "{$this->expression($one->var)}.{$this->called($one->name)}".
                "({$this->arguments($one->args)})",
            $one instanceof Expr\PropertyFetch => "{$this->expression($one->var)}.{$this->called($one->name)}",
            $one instanceof Expr\FuncCall => $this->call($one),
            $one instanceof Expr\ArrowFunction => '(('.implode(', ', array_map(
                fn (Node\Param $param): string => $this->name($param->var),
                $one->params,
            )).") => {$this->expression($one->expr)})",
            default => throw $this->unknown($one),
        };
    }

    /** Lists are the same where what is in them is. */
    private function same(Expr\BinaryOp $one): string
    {
        return "same({$this->expression($one->left)}, {$this->expression($one->right)})";
    }

    private function assign(Expr\Assign $one): string
    {
        $value = $this->expression($one->expr);
        if ($one->var instanceof Expr\ArrayDimFetch && $one->var->dim === null) {
            return "{$this->expression($one->var->var)}.push({$value})";
        }
        $target = $one->var instanceof Expr\List_ || $one->var instanceof Expr\Array_
            ? $this->places($one->var)
            : $this->expression($one->var);

        return "{$target} = {$value}";
    }

    private function places(Expr\List_|Expr\Array_ $list): string
    {
        return '['.implode(', ', array_map(
            fn (?Node\ArrayItem $item): string => $item === null ? '' : $this->expression($item->value),
            $list->items,
        )).']';
    }

    private function list(Expr\Array_ $list): string
    {
        $items = [];
        $isMap = false;
        foreach ($list->items as $item) {
            $value = $this->expression($item->value);
            if ($item->key !== null) {
                $isMap = true;
                $items[] = "{$this->expression($item->key)}: {$value}";
            } else {
                $items[] = ($item->unpack ? '...' : '').$value;
            }
        }

        return $isMap ? '{ '.implode(', ', $items).' }' : '['.implode(', ', $items).']';
    }

    private function call(Expr\FuncCall $call): string
    {
        $name = $call->name instanceof Node\Name ? $call->name->toString() : '';
        $arguments = array_map(fn (Node $one): string => $this->argument($one), $call->args);
        if ($name === 'array_slice') {
            [$from, $start] = $arguments;

            return isset($arguments[2])
                ? "{$from}.slice({$start}, ({$start}) + ({$arguments[2]}))"
                : "{$from}.slice({$start})";
        }
        $written = self::FUNCTIONS[$name] ?? throw $this->unknown($call);
        $put = ['$all' => implode(', ', $arguments)];
        foreach ($arguments as $i => $argument) {
            $put['$'.($i + 1)] = $argument;
        }

        return '('.strtr($written, $put).')';
    }

    /** @param  array<Node>  $arguments */
    private function arguments(array $arguments): string
    {
        return implode(', ', array_map($this->argument(...), $arguments));
    }

    private function argument(Node $one): string
    {
        if (! $one instanceof Node\Arg || $one->name !== null) {
            throw $this->unknown($one);
        }

        return ($one->unpack ? '...' : '').$this->expression($one->value);
    }

    private function constant(Expr\ConstFetch $one): string
    {
        return match ($one->name->toLowerString()) {
            'true' => 'true',
            'false' => 'false',
            'null' => 'null',
            'm_pi' => 'Math.PI',
            default => throw $this->unknown($one),
        };
    }

    private function class(Node $name): string
    {
        if (! $name instanceof Node\Name) {
            throw $this->unknown($name);
        }

        return $name->toString() === 'self' ? $this->own : $name->getLast();
    }

    private function called(Node $name): string
    {
        return $name instanceof Node\Identifier ? $name->toString() : throw $this->unknown($name);
    }

    private function name(Node $variable): string
    {
        $name = $variable instanceof Expr\Variable ? $variable->name : null;

        if (! is_string($name)) {
            throw $this->unknown($variable);
        }

        return in_array($name, self::RESERVED, true) ? "{$name}_" : $name;
    }

    private function quoted(string $words): string
    {
        return json_encode($words, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
    }

    private function unknown(Node $node): LogicException
    {
        return new LogicException("The page has nothing for {$node->getType()} in line {$node->getStartLine()}.");
    }
}
