<?php

declare(strict_types=1);

namespace Crag\Prompt\Tray;

use Crag\Json\Fields;
use Crag\Json\UnreadableFields;

/**
 * The tools that students have for a session or a prompt. Pictures and further pages can be taken out of any of the
 * trays.
 */
final readonly class ToolTray
{
    /** @param  list<Tool>  $tools in the order of {@see Tool} */
    private function __construct(public TrayKind $kind, public array $tools)
    {
    }

    /** @param  list<Tool>  $chosen for a custom tray alone */
    public static function of(TrayKind $kind, array $chosen = [], bool $pictures = true, bool $pages = true): self
    {
        $tools = $kind === TrayKind::Custom ? $chosen : $kind->tools();

        return new self(
            $kind,
            array_values(
                array_filter(
                    Tool::cases(),
                    static fn (Tool $tool): bool => in_array($tool, $tools, true) &&
                        ($pictures || $tool !== Tool::Picture) &&
                        ($pages || $tool !== Tool::Pages),
                ),
            ),
        );
    }

    /** @throws UnreadableFields */
    public static function read(Fields $fields): self
    {
        $kind = TrayKind::tryFrom($fields->text('kind')) ?? throw UnreadableFields::missing('kind');
        $tools = [];
        foreach ($fields->list('tools', 0, count(Tool::cases())) as $name) {
            $tools[] =
                (is_string($name) ? Tool::tryFrom($name) : null) ??
                throw UnreadableFields::badValue('tools', 'names no tool');
        }

        return self::of($kind, $tools, in_array(Tool::Picture, $tools, true), in_array(Tool::Pages, $tools, true));
    }

    /** @return array{kind: string, tools: list<string>} */
    public function toArray(): array
    {
        return [
            'kind' => $this->kind->value,
            'tools' => array_map(static fn (Tool $tool): string => $tool->value, $this->tools),
        ];
    }

    public function has(Tool $tool): bool
    {
        return in_array($tool, $this->tools, true);
    }
}
