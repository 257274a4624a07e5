<?php

declare(strict_types=1);

namespace Tests\Feature\House;

use App\Live\Audience;
use App\Live\CatchUp;
use App\Models\Canvas;
use App\Models\Event;
use App\Models\LiveSession;
use Illuminate\Container\Container;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Facade;
use Illuminate\Support\Facades\File;
use PDO;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Console\Output\BufferedOutput;
use Tests\Support\CragTestCase;

/** Data of an earlier version, brought up to date as a start does it. */
final class UpgradeTest extends CragTestCase
{
    private string $folder;

    private string $usual;

    protected function setUp(): void
    {
        parent::setUp();
        $this->usual = config()->string('database.default');
        $this->folder = sys_get_temp_dir().'/crag-upgrade-'.getmypid();
        File::ensureDirectoryExists($this->folder);
    }

    protected function tearDown(): void
    {
        config(['database.default' => $this->usual]);
        DB::purge('earlier');
        File::deleteDirectory($this->folder);
        parent::tearDown();
    }

    /** @return iterable<string, array{string}> */
    public static function versions(): iterable
    {
        foreach (glob(__DIR__.'/../../Support/earlier/*.sql') ?: [] as $file) {
            yield basename($file, '.sql') => [$file];
        }
    }

    #[DataProvider('versions')]
    public function test_earlier_data_is_set_aside_brought_up_to_date_and_taught_with(string $sql): void
    {
        $this->takeOver($sql);
        $this->comeLater();
        self::assertStringContainsString('before this upgrade', $this->prepared());
        self::assertSame([null, null], DB::table('seats')->pluck('later')->all());
        $aside = glob("{$this->folder}/backups/before-upgrade-*.sqlite") ?: [];
        self::assertCount(1, $aside);
        self::assertSame(
            '2',
            (string) (new PDO("sqlite:{$aside[0]}"))->query('select count(*) from seats')->fetchColumn(),
        );

        $session = LiveSession::query()->firstOrFail();
        self::assertSame(['Tamsin', 'نور'], $session->seats()->orderBy('n')->pluck('name')->all());
        foreach ($session->canvases()->get() as $canvas) {
            self::assertInstanceOf(Canvas::class, $canvas);
            self::assertCount(4, $canvas->scene()->placed);
            self::assertSame(
                (int) DB::table('operations')
                    ->where('canvas_id', $canvas->id)
                    ->sum(DB::raw('length(cast(body as blob))')),
                $canvas->byte_count,
            );
        }
        self::assertSame((int) $session->canvases()->sum('byte_count'), $session->byte_count);
        self::assertStringNotContainsString('Tamsin', (string) Event::query()->get()->toJson());
        $caught = CatchUp::events($session, Request::create('/'), Audience::desk($session));
        self::assertSame(
            ['Tamsin', 'نور'],
            collect($caught['desk'])
                ->where('type', 'seat')
                ->map(static fn (array $one): mixed => ((array) $one['body'])['seat']['name'])
                ->sort()
                ->values()
                ->all(),
        );
        // The next start changes nothing and sets nothing aside.
        self::assertSame('', $this->prepared());
    }

    #[DataProvider('versions')]
    public function test_data_of_a_version_that_is_not_known_is_left_as_it_is(string $sql): void
    {
        $file = $this->takeOver($sql);
        DB::table('migrations')->insert(['migration' => '2031_01_01_000001_from_the_future', 'batch' => 9]);
        $before = hash_file('sha256', $file);
        self::assertStringContainsString('2031_01_01_000001_from_the_future', $this->prepared(1));
        self::assertSame($before, hash_file('sha256', $file));
        self::assertSame([], glob("{$this->folder}/backups/*"));
    }

    /** @return string the file that the application works with from now on */
    private function takeOver(string $sql): string
    {
        $file = "{$this->folder}/crag.sqlite";
        (new PDO("sqlite:{$file}"))->exec((string) file_get_contents($sql));
        config([
            'database.connections.earlier' => ['database' => $file] + config()->array('database.connections.sqlite'),
            'database.default' => 'earlier',
            'crag.data' => $this->folder,
        ]);

        return $file;
    }

    /** A version after this one, with a migration more. */
    private function comeLater(): void
    {
        File::copyDirectory(database_path('migrations'), "{$this->folder}/later/migrations");
        File::put(
            "{$this->folder}/later/migrations/2030_01_01_000001_add_later_to_seats_table.php",
            <<<'PHP'
            <?php

            use Illuminate\Database\Migrations\Migration;
            use Illuminate\Database\Schema\Blueprint;
            use Illuminate\Support\Facades\Schema;

            return new class extends Migration
            {
                public function up(): void
                {
                    Schema::table('seats', static fn (Blueprint $table) => $table->text('later')->nullable());
                }
            };
            PHP,
        );
        $this->app->useDatabasePath("{$this->folder}/later");
    }

    private function prepared(int $exit = 0): string
    {
        $said = new BufferedOutput();
        self::assertSame($exit, Artisan::call('crag:prepare', [], $said));
        // Caching the configuration has made another application, and left it in place of this one.
        Container::setInstance($this->app);
        Facade::clearResolvedInstances();
        Facade::setFacadeApplication($this->app);
        Model::setConnectionResolver($this->app->make('db'));

        return $said->fetch();
    }
}
