<?php

declare(strict_types=1);

namespace App\Console;

use App\Accounts\AccountRole;
use App\Models\Teachers\School;
use App\Models\Teachers\Teacher;
use App\Plans\MakePlan;
use App\Plans\PreparedPrompt;
use App\Sessions\Life\StartSession;
use App\Sessions\Work\ChangeTray;
use App\Sessions\Work\HandOutWork;
use Crag\Classes\ClassList;
use Crag\Json\Fields;
use Crag\Plan\Plan as PlanValue;
use Crag\Prompt\Backdrop\Backdrop;
use Crag\Prompt\Prompt;
use Crag\Prompt\Tray\ToolTray;
use Crag\Prompt\Tray\TrayKind;
use Illuminate\Console\Command;

/** Begins the demo class's session and prints its ways in as one line of JSON. */
final class SeedDemo extends Command
{
    protected $signature = 'crag:demo';

    protected $description = 'Begin the demo session and print its addresses';

    /** Who looks after the demo's schools; there is no password. */
    public const ADMINISTRATOR = 'hollins@sillbeck.example';

    private const WORDS =
        'A plank 4 m long rests on a pivot 1 m from its left end. A load of 240 N hangs from the left end. '.
        'Draw every force on the plank. What force at the right end keeps it level?';

    public function handle(StartSession $start, HandOutWork $handOut, ChangeTray $changeTray, MakePlan $plans): int
    {
        $teacher = Teacher::query()->create(['name' => 'Ms Okafor-Lind', 'school_id' => self::school()]);
        $session = $start($teacher, 'Bridges and Beams');
        $handOut->underPresentWork(
            $session,
            Prompt::of(self::WORDS, Backdrop::read(new Fields(['kind' => 'squared']))),
        );
        $session
            ->prompt()
            ->firstOrFail()
            ->update([
                'details' => [
                    'questions' => [
                        [
                            'id' => 'force',
                            'kind' => 'number',
                            'words' => 'The force at the right end',
                            'spot' => null,
                            'right' => '80 N',
                        ],
                    ],
                ],
            ]);
        $this->prepare($plans, $teacher);
        $changeTray->ofSession($session, ToolTray::of(TrayKind::Maths));
        $this->line(
            (string) json_encode(
                [
                    'desk' => route('return', [$session, $session->return_key]),
                    'plans' => route('demo.plans'),
                    'join' => route('join', $session->join_code),
                    'code' => $session->join_code,
                    'screen' => route('screen.open', [$session, $session->screen_key]),
                    'student' => route('demo.student'),
                    'schools' => route('demo.schools'),
                ],
                JSON_UNESCAPED_SLASHES,
            ),
        );

        return self::SUCCESS;
    }

    /** The school of the demo's teacher, beside another, and who looks after both. */
    private static function school(): string
    {
        Teacher::query()->firstOrCreate(
            ['email' => self::ADMINISTRATOR],
            ['name' => 'Mr Hollins', 'role' => AccountRole::Administrator],
        );
        School::query()->firstOrCreate(['name' => 'Tarnside College'], ['most_teachers' => 40, 'most_sessions' => 12]);

        return School::query()->firstOrCreate(
            ['name' => 'Sillbeck School'],
            ['domains' => 'sillbeck.example', 'keep_days' => 60, 'most_megabytes' => 4000],
        )->id;
    }

    /** The plans and the class list of the demo's teacher. */
    private function prepare(MakePlan $plans, Teacher $teacher): void
    {
        foreach (array_reverse((array) require base_path('demo/plans.php')) as $json) {
            $value = PlanValue::read((array) $json);
            $plan = $plans->empty($teacher, $value->title);
            $plan->update(['tags' => $value->tags]);
            $plans->append(
                $plan,
                $teacher,
                array_map(
                    static fn (array $one): PreparedPrompt => new PreparedPrompt($one[0], $one[1]),
                    $value->prompts,
                ),
                null,
            );
        }
        $roster = $teacher->rosters()->create(['name' => '9B Beams']);
        foreach (ClassList::read((string) file_get_contents(base_path('demo/class.csv')))->entries as $entry) {
            $roster->entries()->create([
                'n' => $entry->n,
                'name' => $entry->name,
                'group' => $entry->group,
                'account' => $entry->account,
            ]);
        }
    }
}
