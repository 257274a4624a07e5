<?php

declare(strict_types=1);

namespace Tests\Feature\Life;

use App\Models\LiveSession;
use App\Records\Results;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Process;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\Support\CragTestCase;

/** The spreadsheets as an office program opens them: what it reads is what was written. */
final class OfficeTest extends CragTestCase
{
    private LiveSession $session;

    private string $folder;

    protected function setUp(): void
    {
        parent::setUp();
        $this->folder = sys_get_temp_dir().'/crag-office-'.getmypid();
        File::ensureDirectoryExists($this->folder);
        config(['crag.zone' => 'Europe/London']);
        $this->session = $this->newSession();
        $this->session->prompt()->firstOrFail()->update(['words' => "Find F.\n=1+1"]);
        foreach (['Tamsin' => 3, 'نور' => 1, '=cmd()' => null] as $name => $level) {
            [$seat, $token] = $this->seat($this->session, $name);
            $this->appendAs($seat, $token, $this->stroke());
            if ($level !== null) {
                $this->asTeacher()
                    ->postJson("/desk/{$this->session->id}/checks", [
                        'canvases' => [$this->canvasOf($seat)->id],
                        'level' => $level,
                    ])
                    ->assertOk();
            }
        }
    }

    protected function tearDown(): void
    {
        File::deleteDirectory($this->folder);
        parent::tearDown();
    }

    #[TestWith(['ods'])]
    #[TestWith(['xlsx'])]
    public function test_an_office_program_reads_every_sheet_as_it_was_written(string $format): void
    {
        $file = "{$this->folder}/results.{$format}";
        $answer = $this->asTeacher()
            ->get("/desk/{$this->session->id}/results.{$format}")
            ->assertOk();
        file_put_contents($file, (string) $answer->getContent());
        Process::timeout(120)
            ->env(['HOME' => $this->folder])
            ->run([
                'soffice',
                '--headless',
                '--norestore',
                "-env:UserInstallation=file://{$this->folder}/profile",
                '--convert-to',
                // Comma, quotation mark, UTF-8, all sheets: of Calc's filter for text.
                'csv:Text - txt - csv (StarCalc):44,34,76,1,,0,false,true,false,false,false,-1',
                '--outdir',
                $this->folder,
                $file,
            ])
            ->throw();
        foreach (Results::of($this->session)->tables() as $table) {
            $read = "{$this->folder}/results-{$table->name}.csv";
            self::assertFileExists($read);
            $shown = self::rows((string) file_get_contents($read));
            self::assertSame(self::asShown($table->plain()), $shown, $table->name);
        }
    }

    /**
     * As a program shows it: moments without their zone, lines of a cell within it.
     *
     * @param  list<list<string|int|null>>  $rows
     * @return list<list<string>>
     */
    private static function asShown(array $rows): array
    {
        return array_map(
            static fn (array $row): array => array_map(
                static fn (string|int|null $cell): string => (string) preg_replace(
                    '/\A(\d{4}-\d\d-\d\d)T(\d\d:\d\d:\d\d)[+-]\d\d:\d\d\z/',
                    '$1 $2',
                    (string) $cell,
                ),
                $row,
            ),
            $rows,
        );
    }

    /** @return list<list<string>> */
    private static function rows(string $csv): array
    {
        $stream = fopen('php://memory', 'w+') ?: self::fail('no memory');
        fwrite($stream, $csv);
        rewind($stream);
        $rows = [];
        while (($row = fgetcsv($stream, null, ',', '"', '')) !== false) {
            $rows[] = array_map(strval(...), $row);
        }

        return $rows;
    }
}
