<?php

declare(strict_types=1);

namespace Tests\Feature\Plans;

use App\Models\Prompt;
use App\Models\Teachers\Plan;
use App\Plans\EditPlan;
use App\Plans\MakePlan;
use App\Plans\PreparedPrompt;
use App\Plans\ReadyPrompts;
use App\Plans\TakesDrawing;
use Crag\Asks\Card;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Support\CragTestCase;

/** A plan is made, found again, changed by several at once, shared, and taken back step by step. */
final class PlanTest extends CragTestCase
{
    private Plan $plan;

    protected function setUp(): void
    {
        parent::setUp();
        $this->plan = app(MakePlan::class)->empty($this->teacher(), 'Levers');
        $this->asTeacher();
    }

    public function test_a_device_that_is_nobodys_yet_makes_a_plan_and_finds_it_again(): void
    {
        $this->asNobody()->get('/plans')->assertOk()->assertSee('No plans yet');
        $made = $this->post('/plans', ['title' => 'Frames'])->assertRedirect();
        $cookie = $made->getCookie('crag_teacher')?->getValue();
        self::assertNotNull($cookie);
        $this->withCookie('crag_teacher', (string) $cookie)
            ->get('/plans')
            ->assertSee('Frames')
            ->assertDontSee('Levers');
    }

    public function test_looking_alone_makes_nobody_a_teacher(): void
    {
        $before = \App\Models\Teachers\Teacher::query()->count();
        foreach (['/plans', '/classes', '/account'] as $address) {
            $this->asNobody()->get($address)->assertOk()->assertCookieMissing('crag_teacher');
        }
        self::assertSame($before, \App\Models\Teachers\Teacher::query()->count());
    }

    public function test_plans_are_searched_by_title_tag_and_words_and_filtered_by_tag(): void
    {
        $this->add('Where is the fulcrum of a seesaw?');
        $this->edit(null, 'tags', [], ['moments', 'Year 9']);
        app(MakePlan::class)->empty($this->teacher(), 'Frames');
        foreach (['lever', 'FULCRUM seesaw', 'year'] as $search) {
            $this->get('/plans?search='.urlencode($search))
                ->assertSee('Levers')
                ->assertDontSee('Frames</a>', false);
        }
        $this->get('/plans?search=nothing+like+it')->assertSee('No plans match');
        $this->get('/plans?tag=moments')->assertSee('Levers')->assertDontSee('Frames</a>', false);
    }

    public function test_plans_are_sorted_and_tags_combine_with_each_other_and_with_the_search(): void
    {
        $this->edit(null, 'tags', [], ['moments', 'Year 9']);
        $more = [];
        foreach (
            [
                'Trusses 10' => ['moments', 'Year 10'],
                'Trusses 9' => ['moments', 'Year 9'],
                'Beams' => array_map(static fn (int $n): string => "tag {$n}", range(1, 12)),
            ] as $title => $tags
        ) {
            $this->travel(1)->minutes();
            $more[$title] = app(MakePlan::class)->empty($this->teacher(), $title);
            $more[$title]->update(['tags' => $tags]);
        }
        $titles = function (string $query): array {
            preg_match_all(
                '#<h2><a href="[^"]*">([^<]+)</a>#',
                (string) $this->get("/plans?{$query}")
                    ->assertOk()
                    ->getContent(),
                $found,
            );

            return $found[1];
        };
        self::assertSame(['Beams', 'Levers', 'Trusses 9', 'Trusses 10'], $titles('sort=title'));
        self::assertSame(['Beams', 'Trusses 9', 'Trusses 10', 'Levers'], $titles('sort=made'));
        $more['Trusses 10']->update(['used_at' => now()->addHour()]);
        self::assertSame('Trusses 10', $titles('')[0]);
        self::assertSame(['Levers', 'Trusses 9'], $titles('sort=title&tag[]=moments&tag[]=Year+9'));
        self::assertSame(['Trusses 9'], $titles('tag[]=moments&tag[]=Year+9&search=truss'));
        self::assertSame([], $titles('tag=moments&search=beams&sort=nonsense'));
        // Every tag can be chosen, and a chosen one takes the search along.
        $page = $this->get('/plans?search=truss&dense=1')->assertSee('All 15 tags');
        foreach (range(1, 12) as $n) {
            $page->assertSee("search=truss&amp;tag%5B0%5D=tag%20{$n}\"", false);
        }
        $this->get('/plans')->assertSee('plan-list is-dense', false)->assertSee('With pictures');
        $this->get('/plans?dense=0')->assertDontSee('is-dense', false);
        $this->asNobody()->get('/')->assertSee('Sign in');
    }

    public function test_a_plan_is_duplicated_archived_restored_and_deleted(): void
    {
        $this->add('One');
        $this->post("/plan/{$this->plan->id}/duplicate")->assertRedirect('/plans');
        $copy = Plan::query()->where('title', 'Levers (copy)')->firstOrFail();
        self::assertSame(['One'], $copy->present()->pluck('words')->all());
        self::assertNotSame($this->plan->refresh()->sequence, $copy->sequence);
        $this->post("/plan/{$this->plan->id}/archive")->assertRedirect('/plans');
        $this->get('/plans')->assertDontSee(route('plan', $this->plan));
        $this->get('/plans?archived=1')->assertSee(route('plan', $this->plan));
        $this->post("/plan/{$this->plan->id}/archive", ['restore' => 1]);
        $this->get('/plans')->assertSee(route('plan', $this->plan));
        $this->delete("/plan/{$this->plan->id}")->assertRedirect('/plans');
        self::assertNull(Plan::query()->find($this->plan->id));
        self::assertSame(1, Prompt::query()->count());
    }

    public function test_every_field_of_a_prompt_is_saved(): void
    {
        $prompt = $this->add('');
        $question = [
            'id' => 'q1',
            'kind' => 'number',
            'words' => 'F =',
            'spot' => ['page' => 0, 'x' => 100, 'y' => 100, 'w' => 200],
            'right' => '80 N',
            'tolerance' => ['kind' => 'none', 'most' => ''],
            'form' => ['kind' => 'any', 'digits' => 0],
            'own_unit' => false,
        ];
        $fields = [
            'words' => 'What force?',
            'questions' => [$question],
            'points' => 2.5,
            'minutes' => 8,
            'skills' => ['moments'],
            'tray' => ['kind' => 'starter', 'tools' => ['pen', 'eraser', 'move', 'text']],
            'look_for' => ['steps' => ['draws it'], 'words' => [], 'slips' => ['adds']],
            'asks' => array_map(
                static fn (string $line): array => Card::one($line)->toArray(),
                ['Which way? | up; *down | 20 s', 'How sure? | sure'],
            ),
            'aspects' => [
                ['name' => 'Method', 'levels' => ['none', 'some', 'complete']],
                ['name' => 'Answer', 'levels' => []],
            ],
            'tasks' => [['do' => 'arrow', 'words' => '', 'with' => '']],
            'sharing' => 'group',
            'practice' => ['family' => 'units', 'kinds' => ['length'], 'level' => 2, 'n' => 8],
        ];
        foreach ($fields as $field => $value) {
            $this->edit($prompt, $field, $prompt->refresh()->value()->toArray()[$field], $value)->assertOk();
        }
        self::assertEquals($fields, $prompt->refresh()->value()->toArray());
        $told = $this->getJson("/plan/{$this->plan->id}/state")
            ->assertOk()
            ->json('prompts.0');
        self::assertEquals($fields, array_intersect_key($told, $fields));
    }

    /** @return iterable<array{string, mixed}> */
    public static function unusable(): iterable
    {
        yield ['words', str_repeat('x', 2001)];
        yield ['words', ['a list']];
        yield ['minutes', -3];
        yield ['questions', [['id' => 'q', 'kind' => 'riddle', 'words' => '']]];
        yield ['colour', 'red'];
    }

    #[DataProvider('unusable')]
    public function test_bad_input_is_refused_and_changes_nothing(string $field, mixed $to): void
    {
        $prompt = $this->add('Stays.');
        $before = $prompt->value()->toArray();
        $this->edit($prompt, $field, $before[$field] ?? null, $to)
            ->assertUnprocessable()
            ->assertJsonStructure(['message']);
        self::assertEquals($before, $prompt->refresh()->value()->toArray());
    }

    public function test_of_a_list_it_is_said_which_lines_were_not_taken_and_why(): void
    {
        $prompt = $this->add('Balance it');
        $asks = ['Which way? | up; *down', 'How far? | 3 m | soon', 'How heavy? | 80 N | 20 s', '| | | |'];
        $answer = $this->edit($prompt, 'asks', [], $asks)->assertUnprocessable();
        self::assertSame([1, 3], $answer->json('lines'));
        self::assertSame(
            'Card 2: Write a time like 20 s or 2 min. Card 4: Too many bars: a line is question | answer | seconds.',
            $answer->json('message'),
        );
        $aspects = [
            ['name' => 'Method', 'levels' => []],
            ['name' => 'method', 'levels' => []],
            ['name' => 'Answer', 'levels' => ['one']],
        ];
        self::assertSame([1, 2], $this->edit($prompt, 'aspects', [], $aspects)->json('lines'));
        $many = array_fill(0, 22, 'Ready? | sure');
        self::assertSame(
            ['There’s room for 20 lines.', [20, 21]],
            [
                $this->edit($prompt, 'asks', [], $many)->json('message'),
                $this->edit($prompt, 'asks', [], $many)->json('lines'),
            ],
        );
        self::assertSame(
            'Points can be whole or half, from 0 to 100.',
            $this->edit($prompt, 'points', null, 1000)->json('message'),
        );
        self::assertSame(
            'A plan needs a title.',
            $this->edit(null, 'title', $this->plan->title, " \n")->assertUnprocessable()->json('message'),
        );
        self::assertSame(
            'A prompt can have up to 2000 characters; this has 30001.',
            $this->edit($prompt, 'words', 'Balance it', str_repeat('Lever ', 5000).'!')->json('message'),
        );
        self::assertSame([[], []], [$prompt->refresh()->value()->asks, $prompt->value()->toArray()['aspects']]);
    }

    public function test_values_that_cannot_be_drawn_are_kept_and_said(): void
    {
        $prompt = $this->add('');
        $this->edit($prompt, 'words', '', 'Draw {a: 9..2}.')->assertOk();
        self::assertStringContainsString(
            'neither a range',
            (string) $this->getJson("/plan/{$this->plan->id}/state")->json('prompts.0.problems.0'),
        );
    }

    public function test_two_pages_do_not_overwrite_each_other(): void
    {
        $prompt = $this->add('Before');
        $this->edit($prompt, 'words', 'Before', 'Theirs')->assertOk();
        $this->edit($prompt, 'words', 'Before', 'Mine')
            ->assertStatus(409)
            ->assertJson(['field' => 'words', 'present' => 'Theirs']);
        $this->edit($prompt, 'minutes', null, 5)->assertOk();
        $this->edit($prompt, 'words', 'Theirs', 'Mine')->assertOk();
        self::assertSame(['Mine', 5], [$prompt->refresh()->words, $prompt->value()->minutes]);
    }

    public function test_a_page_hears_what_changed_after_what_it_knows(): void
    {
        $first = $this->add('One');
        $second = $this->add('Two');
        $n = $this->getJson("/plan/{$this->plan->id}/state")->json('n');
        self::assertCount(0, (array) $this->getJson("/plan/{$this->plan->id}/state?after={$n}")->json('prompts'));
        $this->edit($second, 'words', 'Two', 'Twice');
        $heard = $this->getJson("/plan/{$this->plan->id}/state?after={$n}")->json('prompts');
        self::assertSame([$second->id], array_column((array) $heard, 'id'));
        self::assertNotSame($first->id, $second->id);
    }

    public function test_steps_are_taken_back_and_done_again(): void
    {
        $one = $this->add('One');
        $two = $this->add('Two');
        $this->edit($one, 'words', 'One', 'First');
        $this->postJson("/plan/{$this->plan->id}/prompt/{$one->id}/place", ['after' => $two->id])->assertOk();
        $this->postJson("/plan/{$this->plan->id}/prompt/{$two->id}/place", ['after' => false])->assertOk();
        self::assertSame(['First'], $this->words());
        $this->step()->assertJson(['undo' => true, 'redo' => true]);
        self::assertSame(['Two', 'First'], $this->words());
        $this->step();
        self::assertSame(['First', 'Two'], $this->words());
        $this->step();
        self::assertSame(['One', 'Two'], $this->words());
        $this->step(true);
        $this->step(true);
        self::assertSame(['Two', 'First'], $this->words());
        $this->step();
        $this->step();
        $this->step();
        $this->step()->assertJson(['undo' => false]);
        self::assertSame([], $this->words());
        $this->step()->assertOk();
    }

    public function test_something_new_forgets_what_could_be_done_again(): void
    {
        $prompt = $this->add('One');
        $this->edit($prompt, 'words', 'One', 'Two');
        $this->step();
        $this->edit($prompt, 'words', 'One', 'Three')->assertJson(['undo' => true, 'redo' => false]);
    }

    public function test_what_another_changed_since_is_not_taken_back(): void
    {
        $prompt = $this->add('One');
        $this->edit($prompt, 'words', 'One', 'Mine');
        $this->plan->teachers()->attach($this->teacher('a-colleague'));
        $this->asTeacher('a-colleague')
            ->postJson("/plan/{$this->plan->id}/prompt/{$prompt->id}/edits", [
                'field' => 'words',
                'from' => 'Mine',
                'to' => 'Theirs',
            ])
            ->assertOk();
        $this->asTeacher()
            ->postJson("/plan/{$this->plan->id}/step", ['again' => false])
            ->assertStatus(409);
        self::assertSame('Theirs', $prompt->refresh()->words);
        $this->asTeacher('a-colleague')
            ->postJson("/plan/{$this->plan->id}/step", ['again' => false])
            ->assertOk();
        self::assertSame('Mine', $prompt->refresh()->words);
    }

    public function test_a_plan_is_shared_to_copy_or_to_edit(): void
    {
        $this->add('One');
        $copyLink = "/plan-link/{$this->plan->id}/{$this->plan->copy_key}";
        $editLink = "/plan-link/{$this->plan->id}/{$this->plan->edit_key}";
        $this->asTeacher('a-colleague')
            ->get($copyLink)
            ->assertOk()
            ->assertSee('Levers')
            ->assertDontSee('Work on it together');
        $this->post($copyLink, ['how' => 'edit']);
        self::assertFalse($this->teacher('a-colleague')->mayEdit($this->plan));
        self::assertSame(1, $this->teacher('a-colleague')->plans()->count());
        $this->post($editLink, ['how' => 'edit'])->assertRedirect("/plan/{$this->plan->id}");
        self::assertTrue($this->teacher('a-colleague')->mayEdit($this->plan));
        // Who only shares it takes it off the list; the plan stays.
        $this->delete("/plan/{$this->plan->id}");
        self::assertFalse($this->teacher('a-colleague')->mayEdit($this->plan));
        self::assertNotNull(Plan::query()->find($this->plan->id));
        $this->post("/plan-link/{$this->plan->id}/wrong", ['how' => 'copy'])->assertNotFound();
    }

    public function test_a_shared_plan_is_seen_before_it_is_taken_and_its_links_can_be_ended(): void
    {
        $prompt = $this->add('Where does the plank tip?');
        $link = "/plan-link/{$this->plan->id}/{$this->plan->copy_key}";
        $this->asTeacher('a-colleague')->get($link)->assertOk()->assertSee('Where does the plank tip?');
        $this->get("{$link}/{$prompt->id}.png")->assertOk()->assertHeader('Content-Type', 'image/png');
        $this->get("/plan-link/{$this->plan->id}/wrong/{$prompt->id}.png")->assertNotFound();
        // A prompt that is out of the plan is not shown by its link, nor is that of another plan.
        $other = app(MakePlan::class)->empty($this->teacher(), 'Other');
        $elsewhere = app(EditPlan::class)->add($other, $this->teacher(), PreparedPrompt::saying('Mine'), null);
        $this->get("{$link}/{$elsewhere->id}.png")->assertNotFound();
        // Whoever works on it too cannot end the owner's links.
        $this->plan->teachers()->attach($this->teacher('a-colleague'));
        $this->post("/plan/{$this->plan->id}/end-links")->assertForbidden();
        $this->asTeacher()->post("/plan/{$this->plan->id}/end-links")->assertRedirect();
        $this->asTeacher('a-colleague')->get($link)->assertNotFound();
        $this->post($link, ['how' => 'copy'])->assertNotFound();
        $now = "/plan-link/{$this->plan->id}/{$this->plan->refresh()->copy_key}";
        $this->get($now)->assertOk();
        self::assertTrue($this->teacher('a-colleague')->mayEdit($this->plan), 'colleagues stay');
    }

    public function test_a_copy_takes_over_what_changes_in_its_original_and_keeps_what_it_drew_itself(): void
    {
        [$one, $two] = [$this->add('One'), $this->add('Two')];
        $this->asTeacher('a-colleague')
            ->post("/plan-link/{$this->plan->id}/{$this->plan->copy_key}", ['how' => 'copy']);
        $copy = $this->teacher('a-colleague')->plans()->firstOrFail();
        $offered = fn (): array => (array) $this->asTeacher('a-colleague')
            ->getJson("/plan/{$copy->id}/state")
            ->json('original');
        $words = fn (): array => $copy->refresh()->present()->pluck('words')->all();
        self::assertSame([], $offered());
        $edit = app(EditPlan::class);
        $edit->set($this->plan->refresh(), $this->teacher(), $one, 'words', 'One', 'First');
        $edit->add($this->plan->refresh(), $this->teacher(), PreparedPrompt::saying('Between'), $one->id);
        // What the copy changes itself is its own, and no reason to offer anything.
        $own = $copy->present()[1] ?? self::fail();
        $edit->set($copy->refresh(), $this->teacher('a-colleague'), $own, 'words', 'Two', 'Second');
        self::assertSame(['prompt 1 (words)', 'prompt 2, which is new'], $offered());
        $this->postJson("/plan/{$copy->id}/take-changes")->assertOk()->assertJson(['changed' => 2]);
        self::assertSame(['First', 'Between', 'Second'], $words());
        self::assertSame([], $offered());
        $this->postJson("/plan/{$copy->id}/step", ['again' => false])->assertOk();
        self::assertSame(['First', 'Second'], $words(), 'it can be taken back');
        self::assertSame([], $offered(), 'and is not offered again');
        // Where something else is drawn, the original's comes behind, and the copy's own stays.
        $canvas = $this->asTeacher()->getJson("/plan/{$this->plan->id}/prompt/{$two->id}/canvas")->json('canvas');
        $this->postJson("/plan/{$this->plan->id}/operations", [
            'canvas' => $canvas,
            'operations' => [['layer' => 'lead'] + $this->stroke()],
        ])->assertOk();
        self::assertSame(['prompt 3 (words, what’s drawn)'], $offered());
        $this->postJson("/plan/{$copy->id}/take-changes")->assertJson(['changed' => 1]);
        self::assertSame(['First', 'Second', 'Two'], $words());
        // With the link ended, nothing more of the original is told.
        $edit->set($this->plan->refresh(), $this->teacher(), $one->refresh(), 'words', 'First', 'Very first');
        $this->asTeacher()->post("/plan/{$this->plan->id}/end-links");
        self::assertSame([], $offered());
        $this->postJson("/plan/{$copy->id}/take-changes")->assertNotFound();
        $this->asTeacher()->postJson("/plan/{$this->plan->id}/take-changes")->assertNotFound();
        $this->asTeacher('somebody')->postJson("/plan/{$copy->id}/take-changes")->assertForbidden();
    }

    public function test_prompts_are_taken_from_another_plan_of_ones_own_with_their_pictures_and_from_no_others(): void
    {
        $prompt = $this->add('Levers of old');
        $here = app(MakePlan::class)->empty($this->teacher(), 'Frames');
        self::assertSame(
            [['id' => $this->plan->id, 'title' => 'Levers']],
            $this->getJson("/plan/{$here->id}/others")->assertOk()->json('plans'),
        );
        $this->getJson("/plan/{$here->id}/others/{$this->plan->id}")
            ->assertOk()
            ->assertJsonPath('prompts.0.id', $prompt->id)
            ->assertJsonPath('prompts.0.plain', 'Levers of old');
        $this->postJson("/plan/{$here->id}/prompts", ['copy' => $prompt->id, 'after' => null])->assertOk();
        self::assertSame(['Levers of old'], $here->refresh()->present()->pluck('words')->all());
        self::assertSame(['Levers of old'], $this->plan->refresh()->present()->pluck('words')->all());
        // Another teacher's plan is nobody else's to take from, nor what was taken out of one.
        $theirs = app(MakePlan::class)->empty($this->teacher('a-colleague'), 'Theirs');
        $secret = app(EditPlan::class)->add($theirs, $this->teacher('a-colleague'), PreparedPrompt::saying('Mine'), null);
        $this->getJson("/plan/{$here->id}/others/{$theirs->id}")->assertNotFound();
        $this->postJson("/plan/{$here->id}/prompts", ['copy' => $secret->id, 'after' => null])->assertUnprocessable();
        app(EditPlan::class)->remove($this->plan->refresh(), $this->teacher(), $prompt);
        $this->postJson("/plan/{$here->id}/prompts", ['copy' => $prompt->id, 'after' => null])->assertUnprocessable();
    }

    public function test_a_prompt_is_kept_as_ones_own_ready_made_with_its_questions_and_aspects(): void
    {
        $prompt = $this->add('Where does it tip?');
        $aspects = [['name' => 'Method', 'levels' => []], ['name' => 'Units', 'levels' => ['none', 'all']]];
        app(EditPlan::class)->set($this->plan->refresh(), $this->teacher(), $prompt, 'aspects', [], $aspects);
        self::assertSame([], $this->getJson("/plan/{$this->plan->id}/ready")->json('prompts'));
        $this->postJson("/plan/{$this->plan->id}/prompt/{$prompt->id}/keep")->assertOk();
        $this->postJson("/plan/{$this->plan->id}/prompt/{$prompt->id}/keep")->assertOk();
        $kept = $this->getJson("/plan/{$this->plan->id}/ready")->json();
        self::assertCount(2, $kept['prompts'], 'both in the same plan');
        $other = app(MakePlan::class)->empty($this->teacher(), 'Frames');
        $this->postJson("/plan/{$other->id}/prompts", ['copy' => $kept['prompts'][0]['id'], 'after' => null])->assertOk();
        $taken = $other->refresh()->present()->first();
        self::assertSame('Where does it tip?', $taken?->words);
        self::assertSame($aspects, $taken->value()->toArray()['aspects']);
        // They are the teacher's alone, and go with their plan.
        $this->plan->teachers()->attach($this->teacher('a-colleague'));
        self::assertSame(
            [],
            $this->asTeacher('a-colleague')->getJson("/plan/{$this->plan->id}/ready")->json('prompts'),
        );
        $this->asTeacher()->delete("/plan/{$kept['id']}")->assertRedirect();
        self::assertSame([], $this->getJson("/plan/{$this->plan->id}/ready")->json('prompts'));
    }

    public function test_teachers_who_have_a_plan_open_see_where_the_others_are(): void
    {
        $prompt = $this->add('One');
        $colleague = $this->teacher('a-colleague');
        $colleague->update(['name' => 'Bo Lark']);
        $this->plan->teachers()->attach($colleague);
        $at = static fn (string $at): string => '?'.http_build_query(['at' => $at]);
        $here = fn (string $who, string $where): array => (array) $this->asTeacher($who)
            ->getJson("/plan/{$this->plan->id}/state{$at($where)}")
            ->json('here');
        self::assertSame([], $here('a-colleague', "{$prompt->id} words"));
        self::assertSame(
            [['name' => 'Bo Lark', 'prompt' => $prompt->id, 'field' => 'words']],
            $here('the-teacher', ''),
        );
        $this->travel(11)->seconds();
        self::assertSame([], $here('the-teacher', ''), 'whose page is closed is not here');
    }

    /** @return iterable<string, array{string}> */
    public static function ready(): iterable
    {
        foreach (
            [
                'squared',
                'tools',
                'sketch',
                'three-two-one',
                'snapshot',
                'odd-one',
                'slip',
                'agree',
                'order',
                'times',
                'fractions',
                'linear',
                'moments',
                'level',
                'bags',
                'shade',
                'median',
            ] as $key
        ) {
            yield $key => [$key];
        }
    }

    #[DataProvider('ready')]
    public function test_every_ready_made_prompt_can_be_put_in(string $key): void
    {
        self::assertArrayHasKey($key, app(ReadyPrompts::class)->all());
        $added = $this->postJson("/plan/{$this->plan->id}/prompts", ['ready' => $key, 'after' => null])
            ->assertOk()
            ->json('added');
        $prompt = Prompt::query()->findOrFail($added);
        self::assertSame([], $prompt->value()->problems());
        if ($key !== 'squared') {
            self::assertNotSame('', $prompt->words);
        }
        $pages = app(TakesDrawing::class)->of($prompt);
        self::assertNotEmpty($pages->pages);
        foreach (range(0, 5) as $n) {
            $mine = $prompt->value()->forStudent('seed', $n);
            self::assertStringNotContainsString(
                ':',
                implode('', preg_match_all('/\{[^}]*\}/', $mine->words, $found) > 0 ? $found[0] : []),
            );
            foreach ($mine->questions as $question) {
                if ($question->asked->hasKey()) {
                    // The key is written as a decimal where it is a short one, whatever form is asked for.
                    self::assertContains(
                        $question->compare($question->asked->key())?->outcome->value,
                        ['right', 'other-form'],
                        $question->asked->key(),
                    );
                }
            }
        }
    }

    public function test_a_prompt_is_copied_with_all_that_is_drawn_for_it(): void
    {
        $ready = array_key_first(app(ReadyPrompts::class)->all());
        $first = $this->postJson("/plan/{$this->plan->id}/prompts", ['ready' => $ready, 'after' => null])
            ->json('added');
        $this->add('Last');
        $copy = $this->postJson("/plan/{$this->plan->id}/prompts", ['copy' => $first, 'after' => $first])
            ->assertOk()
            ->json('added');
        self::assertNotSame($first, $copy);
        // Right below the one that it is a copy of.
        $sequence = $this->plan->refresh()->sequence;
        self::assertSame(1, array_search($copy, $sequence, true) - array_search($first, $sequence, true));
        [$one, $two] = [Prompt::query()->findOrFail($first), Prompt::query()->findOrFail($copy)];
        self::assertEquals($one->value(), $two->value());
        $pages = app(TakesDrawing::class);
        self::assertEquals($pages->of($one)->toArray(), $pages->of($two)->toArray());
        // What is changed in one is not changed in the other; a prompt of another teacher's plan is none of this one's.
        $this->edit($two, 'words', $two->words, 'Another one')->assertOk();
        self::assertNotSame('Another one', $one->refresh()->words);
        $other = app(MakePlan::class)->empty($this->teacher('a-colleague'), 'Other');
        $strange = app(EditPlan::class)->add($other, $other->teacher, PreparedPrompt::saying('Strange'), null);
        $this->postJson("/plan/{$this->plan->id}/prompts", ['copy' => $strange->id, 'after' => null])
            ->assertUnprocessable();
    }

    public function test_every_ready_made_prompt_is_tried_here(): void
    {
        self::assertEqualsCanonicalizing(
            array_column(iterator_to_array(self::ready()), 0),
            array_keys(app(ReadyPrompts::class)->all()),
        );
        $this->postJson("/plan/{$this->plan->id}/prompts", [
            'ready' => 'nonsense',
            'after' => null,
        ])->assertUnprocessable();
    }

    public function test_what_is_drawn_stands_on_the_prompts_canvas_and_in_its_picture(): void
    {
        $prompt = $this->add('');
        $canvas = $this->getJson("/plan/{$this->plan->id}/prompt/{$prompt->id}/canvas")
            ->assertOk()
            ->json('canvas');
        $before = $this->plan->refresh()->edit_count;
        $answer = $this->postJson("/plan/{$this->plan->id}/operations", [
            'canvas' => $canvas,
            'operations' => [['layer' => 'lead'] + $this->stroke(), $this->stroke('a-students-ink-here')],
        ])->assertOk();
        self::assertCount(1, (array) $answer->json('accepted'));
        self::assertCount(1, (array) $answer->json('refused'));
        self::assertGreaterThan($before, $this->plan->refresh()->edit_count);
        self::assertCount(1, app(TakesDrawing::class)->of($prompt)->pages[0]->placings);
        $picture = $this->get("/plan/{$this->plan->id}/prompt/{$prompt->id}/picture.png")->assertOk();
        self::assertSame(320, (getimagesizefromstring((string) $picture->getContent()) ?: [0])[0]);
        self::assertCount(
            1,
            (array) $this->getJson("/plan/{$this->plan->id}/canvas/{$canvas}/log?after=0")->json('operations'),
        );
        self::assertCount(
            0,
            (array) $this->getJson("/plan/{$this->plan->id}/canvas/{$canvas}/log?after=1")->json('operations'),
        );
    }

    public function test_a_plan_has_room_for_so_many_prompts(): void
    {
        $this->plan->update(['sequence' => array_map(static fn (int $n): string => "p{$n}", range(1, 200))]);
        $this->postJson("/plan/{$this->plan->id}/prompts", ['words' => 'x', 'after' => null])->assertUnprocessable();
    }

    private function add(string $words): Prompt
    {
        $sequence = $this->plan->refresh()->sequence;

        return app(EditPlan::class)->add(
            $this->plan,
            $this->teacher(),
            PreparedPrompt::saying($words),
            $sequence === [] ? null : end($sequence),
        );
    }

    /** @return \Illuminate\Testing\TestResponse<\Symfony\Component\HttpFoundation\Response> */
    private function edit(?Prompt $prompt, string $field, mixed $from, mixed $to): \Illuminate\Testing\TestResponse
    {
        $at = $prompt === null ? '' : "/prompt/{$prompt->id}";

        return $this->postJson("/plan/{$this->plan->id}{$at}/edits", ['field' => $field, 'from' => $from, 'to' => $to]);
    }

    /** @return \Illuminate\Testing\TestResponse<\Symfony\Component\HttpFoundation\Response> */
    private function step(bool $again = false): \Illuminate\Testing\TestResponse
    {
        return $this->postJson("/plan/{$this->plan->id}/step", ['again' => $again]);
    }

    /** @return list<mixed> */
    private function words(): array
    {
        return array_values($this->plan->refresh()->present()->pluck('words')->all());
    }
}
