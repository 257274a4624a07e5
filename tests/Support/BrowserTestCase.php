<?php

declare(strict_types=1);

namespace Tests\Support;

use Deploy\Browser\Browsers;
use Deploy\Browser\Engine;
use Deploy\Browser\Page;
use Deploy\Folder;
use Deploy\Install\Setup;
use Deploy\Instance;
use PDO;
use PHPUnit\Framework\TestCase;
use Throwable;

/** An empty Crag with real sockets and a real database, and real browsers, one for each person. */
abstract class BrowserTestCase extends TestCase
{
    protected static Instance $crag;

    protected static Browsers $browsers;

    /** @var array<string, Page> */
    protected array $people = [];

    public static function setUpBeforeClass(): void
    {
        self::$crag = SharedCrag::empty();
        self::$browsers = Engine::shared();
    }

    public static function tearDownAfterClass(): void
    {
        if (! SharedCrag::isOne(self::$crag)) {
            self::$crag->stop();
            self::$crag->removeAll();
        }
    }

    protected function tearDown(): void
    {
        foreach ($this->people as $who => $page) {
            if ($this->status()->isError() || $this->status()->isFailure()) {
                $this->keepPicture($who, $page);
            }
            $this->checkPolicy($who, $page);
            self::$browsers->giveBack($page);
        }
        $this->people = [];
    }

    /**
     * No page does what its own policy forbids: an inline style, a script from elsewhere. (Tests cut connections on
     * purpose.)
     */
    private function checkPolicy(string $who, Page $page): void
    {
        if ($this->status()->isSuccess() || $this->status()->isUnknown()) {
            self::assertSame(
                [],
                array_values(
                    array_filter(
                        $page->complaints(),
                        static fn (string $one): bool => str_contains($one, 'Content Security Policy') &&
                            ! str_contains($one, 'connect-src'),
                    ),
                ),
                $who,
            );
        }
    }

    /** What a failed test's page looked like, and what its browser complained of. */
    private function keepPicture(string $who, Page $page): void
    {
        $folder = Setup::root().'/storage/run/failed';
        Folder::make($folder);
        try {
            $file = "{$folder}/".preg_replace('/\W+/', '-', $this->name().'-'.$who).'.png';
            $page->screenshot($file);
            fwrite(
                STDERR,
                "\n{$who}: {$page->driver->getCurrentURL()} {$file}\n".implode("\n", $page->complaints())."\n",
            );
        } catch (Throwable) {
            // The picture is a help, not the finding.
        }
    }

    /** A browser of somebody's own; with CRAG_LATE set, behind a slow network. */
    protected function person(string $who, int $width = 1280, int $height = 800): Page
    {
        $page = $this->people[$who] = self::$browsers->open($width, $height);
        if (getenv('CRAG_LATE') !== false) {
            $source = (string) file_get_contents(__DIR__.'/late.js');
            $page->developer('Page.addScriptToEvaluateOnNewDocument', ['source' => $source]);
        }

        return $page;
    }

    /**
     * A browser of somebody who has come in by a form: sent without a page, since opening one costs more than most
     * tests do with it.
     *
     * @param  callable(Visitor): string  $in  the path that they come to
     */
    private function comeIn(string $who, callable $in, int $width = 1280, int $height = 800): Page
    {
        $visitor = new Visitor(self::$crag->address());
        $path = $in($visitor);
        $page = $this->person($who, $width, $height);
        $page->take(self::$crag->address(), $visitor->cookies());

        return $page->visit(self::$crag->address().$path);
    }

    /** @return array{Page, string} the teacher's desk, and the join code */
    protected function startLesson(string $title = 'Bridges and Beams'): array
    {
        $teacher = $this->comeIn('teacher', static fn (Visitor $one): string => $one->start($title));
        $teacher->find('#grid[data-ready]');

        return [$teacher, str_replace(' ', '', $teacher->text('.door-letters'))];
    }

    protected function join(string $name, string $code, int $width = 1280, int $height = 800): Page
    {
        $student = $this->comeIn($name, static fn (Visitor $one): string => $one->join($name, $code), $width, $height);
        $student->find('#page-frame[data-ready]');

        self::readPrompt($student);

        // A small page opens larger than its screen; seen whole, every place on it can be reached.
        return $width < 1000 ? self::seeWhole($student) : $student;
    }

    /** The whole page, once it is drawn so: what is measured before would be somewhere else a frame later. */
    protected static function seeWhole(Page $student): Page
    {
        $student->press('0')->until(
            static fn (): bool => $student->run(
                <<<'JS'
                const frame = document.querySelector('#page-frame').getBoundingClientRect();
                const paper = document.querySelector('#page .page-paper').getBoundingClientRect();
                return paper.width > 0 && paper.width <= frame.width + 1 && paper.height <= frame.height + 1;
                JS
            ) === true,
            'the whole page',
        );

        return $student;
    }

    /** A long prompt hangs over the paper until it has been read. */
    protected static function readPrompt(Page $student): void
    {
        if ($student->run('return document.querySelector("#prompt-sheet").hidden') === false) {
            $student->click('#fold');
        }
    }

    /** Writes a run's cards by pasting lines into the open Ask panel. */
    protected static function writeRun(Page $desk, string $lines): void
    {
        $n = count($desk->all('#run-cards .run-card'));
        $desk->find('#run-cards');
        $desk->run('document.querySelector("#ask-run").open = true; document.querySelector(".run-card-paste").open = true');
        $desk->type('#run-cards [data-cards=lines]', $lines)->click('#run-cards [data-cards=take]');
        $desk->until(
            static fn (): bool => count($desk->all('#run-cards .run-card')) === $n + substr_count($lines, "\n") + 1,
            'a card for each line',
        );
    }

    /** @param  list<mixed>  $values */
    protected function sql(string $query, array $values = []): mixed
    {
        $database = new PDO('sqlite:'.self::$crag->data.'/crag.sqlite', options: [PDO::ATTR_TIMEOUT => 5]);
        $statement = $database->prepare($query);
        $statement->execute($values);

        return $statement->fetchColumn();
    }

    /**
     * How many strokes of a student are stored, in the session in which somebody of that name came last.
     *
     * @phpstan-impure
     */
    protected function stored(string $name): int
    {
        $n = $this->sql(
            <<<'SQL'
            select count(*) from operations o join seats s on s.id = o.seat_id where s.name = ? and o.kind = 'add'
                and s.live_session_id = (select live_session_id from seats where name = ? order by rowid desc limit 1)
            SQL,
            [$name, $name],
        );

        return is_numeric($n) ? (int) $n : 0;
    }

    /**
     * Everything that a student's canvases have stored, oldest first.
     *
     * @return list<array{id: string, kind: string, body: array<string, mixed>}>
     *
     * @phpstan-impure
     */
    protected function log(string $name): array
    {
        $rows = $this->sql(
            <<<'SQL'
            select json_group_array(json_object(
                'id', op_id, 'kind', kind, 'layer', layer, 'at', made_at_ms, 'body', json(body)
            )) from (
                select o.* from operations o join seats s on s.id = o.seat_id
                where s.name = ? order by o.session_n
            )
            SQL,
            [$name],
        );

        return is_string($rows) ? json_decode($rows, true, flags: JSON_THROW_ON_ERROR) : [];
    }

    /**
     * Waits until the latest operation that a student stored is of a kind, and gives its body.
     *
     * @return array<string, mixed>
     */
    protected function latest(Page $page, string $name, string $kind, int $count): array
    {
        $found = $page->until(function () use ($name, $kind, $count): ?array {
            $log = $this->log($name);
            $last = $log[count($log) - 1] ?? null;

            return count($log) === $count && $last !== null && $last['kind'] === $kind ? $last : null;
        }, "operation {$count}, {$kind}, to be stored; there are ".
            implode(', ', array_column($this->log($name), 'kind')));

        return $found['body'] ?? [];
    }

    /**
     * How many pixels of the page are not white, on the surfaces under a selector.
     *
     * @phpstan-impure
     */
    protected function inked(Page $page, string $selector): int
    {
        $n = $page->run(
            <<<'JS'
            let inked = 0;
            for (const canvas of document.querySelectorAll(`:is(${arguments[0]}) canvas, canvas:is(${arguments[0]})`)) {
                // What is out of sight has no surface.
                if (canvas.width === 0) continue;
                const { data } = canvas.getContext('2d').getImageData(0, 0, canvas.width, canvas.height);
                for (let i = 3; i < data.length; i += 4) inked += data[i] > 40 ? 1 : 0;
            }
            return inked;
            JS
            ,
            $selector,
        );

        return is_numeric($n) ? (int) $n : 0;
    }

    /** @param  string  $within  the part that is new, where the rest of the page was looked at before */
    protected function assertAccessible(Page $page, string $what, string $within = 'html'): void
    {
        $page->seen($within);
        // What goes round for ever does not count.
        $still =
            'return document.getAnimations().every('.
            '(one) => one.playState !== "running" || one.effect?.getComputedTiming().endTime === Infinity)';
        $page->until(static fn (): bool => $page->run($still) === true, 'everything to stand still');
        if ($page->run('return window.axe === undefined') === true) {
            $page->run((string) file_get_contents(Setup::root().'/node_modules/axe-core/axe.min.js'));
        }
        foreach (['light', 'dark'] as $scheme) {
            // Colours change at once, as they do for whoever wants less motion.
            $page->prefers(['prefers-color-scheme' => $scheme, 'prefers-reduced-motion' => 'reduce']);
            // In the dark only the colours are others.
            $found = $page->run(
                <<<'JS'
                const { violations } = await axe.run(arguments[1], {
                    resultTypes: ['violations'],
                    // Style sheets are read again only where a whole page is looked at.
                    preload: arguments[1] === 'html',
                    ...(arguments[0] === 'dark' && { runOnly: ['color-contrast'] }),
                });
                return violations.filter((v) => ['serious', 'critical'].includes(v.impact)).map((v) => `${v.id}: ${v.nodes.map((n) => `${n.target.join(' ')} ${n.any[0]?.data?.contrastRatio ?? ''}`).join(', ')}`);
                JS
                ,
                $scheme,
                $within,
            );
            self::assertSame([], $found, "{$what}, {$scheme}");
        }
        $page->prefers([]);
    }

    /**
     * As the page itself would send it.
     *
     * @param  array<string, mixed>  $body
     */
    protected function postAs(Page $page, string $what, array $body): void
    {
        $status = $page->driver->executeAsyncScript(
            <<<'JS'
            const [what, body, done] = arguments;
            const token = decodeURIComponent(/XSRF-TOKEN=([^;]+)/.exec(document.cookie)?.[1] ?? '');
            fetch(`${location.pathname}/${what}`, {
                method: 'POST',
                headers: { 'Content-Type': 'application/json', Accept: 'application/json', 'X-XSRF-TOKEN': token },
                body: JSON.stringify(body),
            }).then(({ status }) => done(status));
            JS
            ,
            [$what, $body],
        );
        self::assertContains($status, [200, 204]);
    }

    /** A server whose answers are late: those to addresses with this in them wait until they are let go. */
    protected static function holdAnswers(Page $page, string $to): void
    {
        $page->run(
            <<<'JS'
            const [to] = arguments;
            const ask = window.fetch.bind(window);
            window.heldAnswers = [];
            window.holdsAnswers = true;
            window.fetch = async (address, how) => {
                const answer = await ask(address, how);
                if (window.holdsAnswers && String(address).includes(to)) {
                    await new Promise((go) => window.heldAnswers.push(go));
                }
                return answer;
            };
            const { open, send } = XMLHttpRequest.prototype;
            XMLHttpRequest.prototype.open = function (method, address, ...more) {
                this.isHeld = String(address).includes(to);
                open.call(this, method, address, ...more);
            };
            XMLHttpRequest.prototype.send = function (body) {
                const { onload } = this;
                if (this.isHeld && onload !== null) {
                    this.onload = (event) => {
                        const go = () => onload.call(this, event);
                        window.holdsAnswers ? window.heldAnswers.push(go) : go();
                    };
                }
                send.call(this, body);
            };
            JS
            ,
            $to,
        );
    }

    /** Those that are there, or the next one; later ones do not wait any more, unless they are to be held on. */
    protected static function letAnswersGo(Page $page, bool $holdOn = false): void
    {
        $page->until(
            static fn (): bool => $page->run(
                <<<'JS'
                const held = window.heldAnswers.splice(0);
                window.holdsAnswers = arguments[0] || held.length === 0;
                held.forEach((go) => go());
                return held.length > 0;
                JS
                ,
                $holdOn,
            ) === true,
            'an answer',
        );
    }

    /** Opens the canvas of the tile on which the name stands. */
    protected static function closeUp(Page $desk, string $name): void
    {
        // A tile that has only just come may not know of its canvas yet.
        $desk->until(
            static fn (): bool => $desk->run(
                <<<'JS'
                const tile = [...document.querySelectorAll('.tile')].find((one) => one.textContent.includes(arguments[0]));
                tile?.querySelector('.tile-open').click();
                return document.querySelector('#closeup').hidden === false;
                JS
                ,
                $name,
            ) === true,
            "the canvas of {$name}",
        );
        $desk->waitForText('#closeup-name', $name)->find('#closeup-page-frame[data-ready]');
    }
}
