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

    protected function setUp(): void
    {
        parent::setUp();
        $this->folder = sys_get_temp_dir().'/crag-upgrade-'.getmypid();
        File::ensureDirectoryExists($this->folder);
    }

    protected function tearDown(): void
    {
        config(['database.default' => 'sqlite']);
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
        $file = "{$this->folder}/crag.sqlite";
        (new PDO("sqlite:{$file}"))->exec((string) file_get_contents($sql));
        config([
            'database.connections.earlier' => ['database' => $file] + config()->array('database.connections.sqlite'),
            'database.default' => 'earlier',
            'crag.data' => $this->folder,
        ]);
        self::assertStringContainsString('before this upgrade', $this->prepared());
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

    private function prepared(): string
    {
        $said = new BufferedOutput();
        self::assertSame(0, Artisan::call('crag:prepare', [], $said));
        // Caching the configuration has made another application, and left it in place of this one.
        Container::setInstance($this->app);
        Facade::clearResolvedInstances();
        Facade::setFacadeApplication($this->app);
        Model::setConnectionResolver($this->app->make('db'));

        return $said->fetch();
    }
}
