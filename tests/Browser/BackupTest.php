<?php

declare(strict_types=1);

namespace Tests\Browser;

use Deploy\Folder;
use Deploy\Install\Setup;
use Deploy\Keep\Backup;
use Deploy\Keep\Restore;
use Deploy\Port;
use Deploy\Problem;
use Facebook\WebDriver\Remote\LocalFileDetector;
use Symfony\Component\Process\Process;
use Tests\Support\BrowserTestCase;
use Tests\Support\SamplePdf;

/** A backup of a running Crag, restored where there is nothing, and taught from. */
final class BackupTest extends BrowserTestCase
{
    private string $folder;

    protected function setUp(): void
    {
        parent::setUp();
        $this->folder = Setup::root().'/storage/run/backup-'.getmypid();
        Folder::make($this->folder);
    }

    protected function tearDown(): void
    {
        Folder::remove($this->folder);
        parent::tearDown();
    }

    public function test_a_lesson_from_a_plan_with_pictures_runs_after_a_restore(): void
    {
        $teacher = $this->person('teacher')->visit(self::$crag->address().'/plans');
        $teacher->click('.library-new .btn-go')->seen('#plan-empty');
        $teacher->click('#plan-add')->seen('#plan-prompt');
        $teacher->type('#words', 'Where does the frame give way?');
        $file = "{$this->folder}/frame.pdf";
        file_put_contents($file, SamplePdf::pages(1));
        $teacher->run(
            'const kind = document.querySelector("#backdrop-kind"); kind.value = "picture"; kind.dispatchEvent(new Event("change", { bubbles: true })); document.querySelectorAll("#plan-side details").forEach((one) => { one.open = true; })',
        );
        $teacher->find('#backdrop-form input[type=file]')->setFileDetector(new LocalFileDetector())->sendKeys($file);
        $teacher->until(
            fn (): bool => str_contains(
                (string) $teacher->run(
                    'return document.querySelector("#plan-bench .page-backdrop")?.getAttribute("src") ?? ""',
                ),
                '/asset/',
            ),
            'the picture',
        );
        $teacher->waitForText('#plan-saved', 'Saved');
        $plan = basename((string) parse_url($teacher->driver->getCurrentURL(), PHP_URL_PATH));

        // While it runs.
        $backup = "{$this->folder}/crag.tar.gz";
        $made = $this->crag(['backup', $backup], self::$crag->data);
        self::assertSame(0, $made->getExitCode(), $made->getOutput().$made->getErrorOutput());
        self::assertSame(0o600, fileperms($backup) & 0o777);
        self::assertSame([], glob("{$this->folder}/.crag-backup-*") ?: []);

        $data = "{$this->folder}/restored/data";
        $restored = $this->crag(['restore', $backup], $data);
        self::assertSame(0, $restored->getExitCode(), $restored->getOutput().$restored->getErrorOutput());
        self::assertSame(0o600, fileperms("{$data}/app.key") & 0o777);
        $port = Port::free();
        $serve = new Process([PHP_BINARY, 'crag', 'serve', "--port={$port}", '--host=127.0.0.1'], Setup::root(), [
            'CRAG_DATA' => $data,
            'CRAG_RUN_DIR' => "{$this->folder}/restored/run",
            'CRAG_RUN' => false,
        ]);
        $serve->start();
        try {
            $there = $this->person('the same teacher');
            $there->until(
                fn (): bool => @file_get_contents("http://127.0.0.1:{$port}/up") === 'up',
                'the restored one to answer',
                60,
            );
            $there->visit("http://127.0.0.1:{$port}/up");
            foreach ($teacher->driver->manage()->getCookies() as $cookie) {
                // The key came along: whoever was known is known.
                if ($cookie->getName() === 'crag_teacher') {
                    $there->driver
                        ->manage()
                        ->addCookie(['name' => 'crag_teacher', 'value' => $cookie->getValue(), 'path' => '/']);
                }
            }
            $there->visit("http://127.0.0.1:{$port}/plan/{$plan}/start");
            $there->type('#name', 'Ms Okafor-Lind')->click('main form .btn-go')->find('#grid[data-ready]');
            $code = str_replace(' ', '', $there->text('.door-letters'));
            $student = $this->person('student')
                ->visit("http://127.0.0.1:{$port}/join/{$code}")
                ->type('#name', 'Tamsin')
                ->click('.btn-go');
            $student->find('#page-frame[data-ready]');
            $student->waitForText('#prompt-line', 'Where does the frame give way?');
            $student->until(
                fn (): bool => (int) $student->run(
                    'return document.querySelector("#page .page-backdrop")?.naturalWidth ?? 0',
                ) > 100,
                'the plan\'s picture',
            );
            $student->draw('.page-paper', [[0.2, 0.2], [0.5, 0.4], [0.8, 0.2]]);
            $student->waitForText('#saved', 'Saved');
        } finally {
            $serve->stop(8, SIGTERM);
        }
    }

    public function test_a_damaged_backup_is_refused_and_what_is_there_stays(): void
    {
        $file = "{$this->folder}/crag.tar.gz";
        Backup::make(self::$crag->data, $file);
        $data = "{$this->folder}/data";
        Folder::make($data);
        copy(self::$crag->data.'/crag.sqlite', "{$data}/crag.sqlite");
        $bytes = (string) file_get_contents($file);
        foreach (
            [
                'cut off' => substr($bytes, 0, intdiv(strlen($bytes), 2)),
                'no archive' => 'nonsense',
                'changed' => substr_replace($bytes, 'xxxx', intdiv(strlen($bytes), 2), 4),
            ] as $how => $damaged
        ) {
            file_put_contents("{$this->folder}/{$how}.tar.gz", $damaged);
            try {
                Restore::from("{$this->folder}/{$how}.tar.gz", $data);
                self::fail("One that is {$how} was restored.");
            } catch (Problem) {
                self::assertFileExists("{$data}/crag.sqlite", $how);
                self::assertSame([], glob("{$this->folder}/.crag-backup-*") ?: []);
            }
        }
        $aside = Restore::from($file, $data);
        self::assertFileExists("{$aside}/crag.sqlite");
        self::assertFileExists("{$data}/app.key");
        $running = $this->crag(['restore', $file], self::$crag->data);
        self::assertSame(1, $running->getExitCode());
        self::assertStringContainsString('Stop that one first', $running->getErrorOutput().$running->getOutput());
    }

    public function test_nightly_backups_keep_the_last_ones(): void
    {
        foreach (['2026-01-01-030000', '2026-01-02-030000', '2026-01-03-030000'] as $night) {
            file_put_contents("{$this->folder}/crag-{$night}.tar.gz", '');
        }
        file_put_contents("{$this->folder}/other.tar.gz", '');
        $made = $this->crag(['backup', "--into={$this->folder}", '--keep=2'], self::$crag->data);
        self::assertSame(0, $made->getExitCode(), $made->getErrorOutput());
        $left = array_map(basename(...), glob("{$this->folder}/*.tar.gz") ?: []);
        self::assertCount(3, $left);
        self::assertContains('crag-2026-01-03-030000.tar.gz', $left);
        self::assertContains('other.tar.gz', $left);
    }

    /** @param  list<string>  $arguments */
    private function crag(array $arguments, string $data): Process
    {
        $process = new Process(
            [PHP_BINARY, 'crag', ...$arguments],
            Setup::root(),
            ['CRAG_DATA' => $data, 'CRAG_RUN' => false],
            timeout: 120,
        );
        $process->run();

        return $process;
    }
}
