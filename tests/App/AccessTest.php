<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use HandGarden\Account\Role;
use HandGarden\Assessment\Recording;
use HandGarden\Assessment\RecordingKind;
use HandGarden\Client\Helper;
use HandGarden\Client\HelperKind;
use HandGarden\Core\Actor\Actor;
use HandGarden\Core\Actor\ActorKind;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Device\DeviceKind;
use HandGarden\Core\Home\ConsentKind;
use HandGarden\Core\Home\ConsentWay;
use HandGarden\Core\Home\MessageAbout;
use HandGarden\Core\Report\ReportKind;
use HandGarden\Core\Routine\Shape;
use HandGarden\Core\Sitting\AlertKind;
use HandGarden\Core\Wearing\Worn;
use HandGarden\Device\Device;
use HandGarden\GroupWork\ClassRun;
use HandGarden\GroupWork\HandClass;
use HandGarden\Home\Consent;
use HandGarden\Home\HomeDevice;
use HandGarden\Home\Message;
use HandGarden\Home\Shared\CareHome;
use HandGarden\Library\OwnExercise;
use HandGarden\Library\OwnExerciseForm;
use HandGarden\Planning\ShapeFormat;
use HandGarden\Planning\StartingPoint;
use HandGarden\Planning\Suspension;
use HandGarden\Reporting\Report;
use HandGarden\Reporting\ReportSpan;
use HandGarden\Reporting\Written;
use HandGarden\Sitting\Alert;
use HandGarden\Sitting\Sitting;
use HandGarden\Wearing\WearPlan;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Routing\RouterInterface;

/** Every route of the router against every role, and against another clinic. */
final class AccessTest extends GardenTestCase
{
    /** Routes that need a therapist; all others but signing in are for all staff. */
    private const THERAPIST = [
        'library_picture_review',
        'client_new',
        'client_edit',
        'client_archive',
        'client_screening',
        'assessment_measure',
        'assessment_figures',
        'assessment_correct',
        'assessment_drop_draft',
        'assessment_take_back',
        'assessment_sign',
        'assessment_screen',
        'assessment_keep_ink',
        'assessment_scale',
        'assessment_recording',
        'assessment_withdraw',
        'assessment_steadiness',
        'assessment_keep_trace',
        'assessment_plan_trial',
        'assessment_keep_outcome',
        'device_bench',
        'device_run',
        'device_retire',
        'device_live',
        'device_newest',
        'device_capture',
        'device_independence',
        'device_record',
        'planning_set_rung',
        'planning_suggest',
        'planning_keep_shape',
        'planning_start_from',
        'planning_approaches',
        'planning_week_times',
        'planning_block',
        'planning_focus',
        'planning_edit_routine',
        'planning_meters',
        'planning_item',
        'planning_set_goal',
        'planning_shown_mark',
        'planning_helpers_add',
        'planning_helpers_change',
        'planning_teach',
        'planning_use_it',
        'wearing_plans_begin',
        'wearing_plans_change',
        'home_let_in',
        'home_let_in_state',
        'home_confirm',
        'home_take_out',
        'home_talked',
        'home_consent',
        'home_care_homes',
        'home_care_homes_add',
        'home_care_homes_one',
        'home_care_homes_change',
        'home_care_homes_tablet',
        'home_care_homes_tablet_state',
        'home_care_homes_tablet_confirm',
        'home_care_homes_tablet_out',
        'home_diary_side',
        'home_set_diary',
        'home_pause_diary',
        'home_try',
        'following_answer_alert',
        'following_looked_again',
        'progress_decide_steps',
        'progress_allow_steps',
        'following_review_block',
        'following_look_word',
        'sitting_looked',
        'progress_usual_pain',
        'progress_decide',
        'progress_what_if',
        'progress_reopen',
        'library_own_new',
        'library_own_edit',
        'library_own_archive',
        'library_own_export',
        'library_export',
        'library_import',
        'library_pose',
        'class_all_add',
        'class_change',
    ];
    /** For therapists with the mark "trained in hands-on release". */
    private const RELEASE = ['library_release', 'sitting_release'];
    /** What a lead alone may do. */
    private const LEAD = [
        'library_shapes',
        'office_points',
        'office_point_end',
        'office_clinic',
        'office_settings',
        'office_people',
        'office_person',
        'office_invite',
        'office_change',
        'office_leave',
        'office_return',
        'office_hand_over',
        'office_deputy',
        'office_deputy_end',
        'office_code',
        'office_factor_off',
        'office_trail',
        'desk_mailbox',
    ];
    /** Asks for a token of its own, whoever is signed in. */
    private const BY_TOKEN = ['device_frames', 'sitting_events', 'class_follow'];
    /** Asks for the cookie of a device at home, whoever is signed in. */
    private const BY_DEVICE = [
        'home_day',
        'home_told',
        'home_house_now',
        'home_house_sign_in',
        'home_house_open',
        'home_house_close',
    ];
    private const PUBLIC = [
        'home_shell',
        'home_house',
        'home_enter',
        'home_play_shell',
        'home_play',
        'home_claim',
        'home_key',
        'home_emptied',
        'account_sign_in',
        'account_sign_in_code',
        'account_join',
        'account_new_password',
        'content_hand',
        'content_book',
        'sitting_shell',
    ];
    /** Not about a record of a clinic. */
    private const WITHOUT_RECORD = [
        'library_picture_review',
        'account_sign_in',
        'account_sign_in_code',
        'account_sign_out',
        'account_join',
        'account_new_password',
        'account_me',
        'account_password',
        'account_second_factor',
        'account_second_factor_on',
        'account_second_factor_off',
        'account_recovery_codes',
        'account_unlock',
        'account_still_here',
        'office_people',
        'office_invite',
        'office_trail',
        'desk_mailbox',
        'desk_today',
        'client_new',
        'content_hand',
        'content_book',
        'library_exercises',
        'library_exercise',
        'library_print',
        'library_ladder',
        'library_pictures',
        'library_rules',
        'library_release',
        'library_shapes',
        'office_points',
        'office_clinic',
        'office_settings',
        'library_own_new',
        'library_own_export',
        'library_export',
        'library_import',
        'library_pose',
        'device_bench',
        'device_frames',
        'sitting_events',
        'sitting_shell',
        'home_shell',
        'home_house',
        'home_enter',
        'home_play_shell',
        'home_play',
        'home_claim',
        'home_key',
        'home_emptied',
        'home_day',
        'home_told',
        'home_house_now',
        'home_house_sign_in',
        'home_house_open',
        'home_house_close',
        'home_care_homes',
        'home_care_homes_add',
        'class_all',
        'class_all_add',
        'class_follow',
    ];

    /** @return iterable<string, array{?Role}> */
    public static function roles(): iterable
    {
        yield 'nobody' => [null];
        yield 'assistant' => [Role::Assistant];
        yield 'therapist' => [Role::Therapist];
        yield 'lead' => [Role::Lead];
    }

    #[DataProvider('roles')]
    public function testEveryRouteHasItsRule(?Role $role): void
    {
        $clinic = $this->clinic();
        $therapist = $this->staff($clinic);
        $addresses = $this->addresses($clinic->id, $therapist);
        $token = '';
        if (null !== $role) {
            $this->signIn($this->staff($clinic, $role));
            $token = $this->token();
        }
        foreach ($addresses as [$name, $method, $path]) {
            if ('account_sign_out' === $name) {
                continue; // would end the session of this test
            }
            $this->browser->request(
                $method,
                $path,
                'POST' === $method ? ['_token' => $token] : [],
            );
            $status = $this->browser->getResponse()->getStatusCode();
            $what = "$method $path as ".($role->value ?? 'nobody');
            if (\in_array($name, self::BY_TOKEN, true)) {
                self::assertSame(401, $status, $what);
            } elseif (\in_array($name, self::BY_DEVICE, true)) {
                self::assertSame(403, $status, $what);
            } elseif (null === $role) {
                $toSignIn = 302 === $status
                    && str_ends_with(
                        (string) $this->browser->getResponse()->headers->get('Location'),
                        '/sign-in',
                    );
                self::assertTrue(
                    $toSignIn || \in_array($name, self::PUBLIC, true),
                    "$what: $status",
                );
            } elseif (\in_array($name, self::RELEASE, true)) {
                self::assertSame(403, $status, $what);
            } elseif ((
                Role::Assistant === $role && \in_array(
                    $name,
                    self::THERAPIST,
                    true,
                )
            ) || (Role::Lead !== $role && \in_array($name, self::LEAD, true))) {
                self::assertSame(403, $status, $what);
            } else {
                self::assertNotContains(
                    $status,
                    [401, 403, 405, 500],
                    $what,
                );
            }
        }
    }

    public function testTheTableNamesOnlyRoutesThatThereAre(): void
    {
        $names = array_column(
            $this->addresses('x', null),
            0,
        );

        self::assertSame(
            [],
            array_diff(
                [
                    ...self::THERAPIST,
                    ...self::RELEASE,
                    ...self::PUBLIC,
                    ...self::BY_TOKEN,
                    ...self::BY_DEVICE,
                    ...self::WITHOUT_RECORD,
                ],
                $names,
            ),
        );
        self::assertGreaterThan(20, \count($names));
    }

    public function testAnotherClinicFindsNothingOnAnyRouteWithTheFirstOnesIds(): void
    {
        $clinic = $this->clinic();
        $addresses = $this->addresses(
            $clinic->id,
            $this->staff($clinic),
        );
        $lead = $this->staff(
            $this->clinic('Another clinic'),
            Role::Lead,
        );
        $lead->releaseTrainedOn = new \DateTimeImmutable('-1 year');
        $this->entities->flush();
        $this->signIn($lead);
        $token = $this->token();
        $tried = 0;
        foreach ($addresses as [$name, $method, $path]) {
            if (\in_array($name, self::WITHOUT_RECORD, true)) {
                continue;
            }
            $this->browser->request(
                $method,
                $path,
                'POST' === $method
                    ? [
                        '_token' => $token,
                        'note' => 'x',
                        'value' => '1',
                        'reason' => 'x',
                    ]
                    : [],
            );
            self::assertSame(
                404,
                $this->browser->getResponse()->getStatusCode(),
                "$name: $method $path",
            );
            ++$tried;
        }
        self::assertGreaterThan(20, $tried);
    }

    public function testAChangeWithoutItsTokenIsRefused(): void
    {
        $clinic = $this->clinic();
        $therapist = $this->staff($clinic);
        $client = $this->client($clinic, $therapist);
        $this->signIn($therapist);
        $this->browser->request(
            'POST',
            '/clients/'.$client->id.'/archive',
            ['_token' => 'made-up'],
        );

        $this->assertStatus(400);
        self::assertFalse(
            $this->fresh($client)->isArchived(),
        );
    }

    public function testEveryAnswerCarriesTheStrictContentPolicy(): void
    {
        $this->signIn(
            $this->staff($this->clinic()),
        );
        foreach (['/', '/sign-in', '/clients/new', '/nowhere'] as $path) {
            $this->browser->request('GET', $path);
            $policy = (string) $this->browser->getResponse()->headers->get('Content-Security-Policy');
            self::assertStringContainsString("default-src 'none'", $policy);
            self::assertStringNotContainsString('unsafe', $policy);
        }
        $this->browser->request('GET', '/clients/new');
        self::assertDoesNotMatchRegularExpression(
            '/<[^>]+\s(style|on[a-z]+)=|<style|<script(?![^>]+src=)/i',
            $this->page(),
            'nothing inline',
        );
    }

    /**
     * Every route and method of the router, with ids of records of the clinic.
     *
     * @return list<array{string, string, string}>
     */
    private function addresses(
        string $clinicId,
        ?\HandGarden\Account\Staff $therapist,
    ): array {
        $ids = [
            'client' => 'x',
            'home' => 'x',
            'plan' => 'x',
            'tablet' => 'x',
            'alert' => 'x',
            'telephone' => 'x',
            'consent' => 'x',
            'message' => 'x',
            'id' => '018f3a52-0000-7000-8000-000000000001',
            'sitting' => 'x',
            'reading' => 'x',
            'visit' => 'x',
            'second' => '1',
            'recording' => 'x',
            'device' => 'x',
            'suspension' => 'x',
            'helper' => 'x',
            'technique' => 'wrist',
            'side' => 'left',
            'hash' => str_repeat('0', 32),
            'rung' => 'helped-lift-hold',
            'ladder' => 'base-1',
            'format' => 'yaml',
            'key' => 'x',
            'staff' => 'x',
            'deputy' => 'x',
            'group' => 'sitting',
            'point' => 'x',
            'code' => str_repeat('A', 48),
            'class' => 'x',
            'run' => 'x',
            'report' => 'x',
            'nth' => '0',
        ];
        if (null !== $therapist) {
            $clinic = $this->entities->find(
                \HandGarden\Account\Clinic::class,
                $clinicId,
            );
            self::assertNotNull($clinic);
            $client = $this->client($clinic, $therapist);
            $ids['client'] = $client->id;
            $ids['staff'] = $therapist->id;
            $now = new \DateTimeImmutable();
            $ids['sitting'] = $this->keep(
                new Sitting(
                    $client,
                    $now,
                    painBefore: 1,
                    actor: Actor::staff($therapist->id),
                    startedAt: $now,
                ),
            )->id;
            $ids['suspension'] = $this->keep(
                new Suspension(
                    $clinicId,
                    $client->id,
                    '*',
                    'test',
                    at: $now,
                ),
            )->id;
            $ids['point'] = $this->keep(
                new StartingPoint(
                    $clinicId,
                    'Test',
                    null,
                    ShapeFormat::write(new Shape()),
                    byStaffId: $therapist->id,
                    at: $now,
                ),
            )->id;
            $ids['alert'] = $this->keep(new Alert(
                $clinicId,
                $client->id,
                AlertKind::Part,
                'x|right',
                why: 'test',
                begunAt: $now,
                receivedAt: $now,
                ownerId: $therapist->id,
            ))->id;
            $ids['key'] = $this->keep(
                new OwnExercise(
                    $clinicId,
                    'abc',
                    1,
                    'Own',
                    written: ['steps' => ['Lift.']] + OwnExerciseForm::blank()->written,
                    pose: [],
                    facets: [],
                    text: 'own',
                    seconds: 60,
                    byStaffId: $therapist->id,
                    at: $now,
                ),
            )->key;
            $reading = $this->entities->getRepository(
                \HandGarden\Assessment\RecordedReading::class,
            )->findOneBy(
                ['clientId' => $client->id, 'code' => 'wrist_extension'],
            );
            self::assertNotNull($reading);
            $ids['reading'] = $reading->id;
            $ids['visit'] = $reading->visitId;
            $ids['recording'] = $this->keep(
                new Recording(
                    $clinicId,
                    $client->id,
                    RecordingKind::Ink,
                    'word',
                    side: Side::Right,
                    raw: '{}',
                    found: [],
                    series: '',
                    onDay: $now,
                    at: $now,
                    byStaffId: $therapist->id,
                ),
            )->id;
            $telephone = new HomeDevice(
                $clinicId,
                $client->id,
                null,
                'x',
                madeById: $therapist->id,
                madeAt: $now,
            );
            $telephone->secret->renew($now);
            $ids['plan'] = $this->keep(new WearPlan(
                $clinicId,
                $client->id,
                Worn::Band,
                'palm-flattening-band',
                side: Side::Right,
                step: 0,
                when: '',
                morningId: null,
                beganOn: $now,
                fitOn: $now,
                byStaffId: $therapist->id,
                at: $now,
            ))->id;
            $ids['home'] = $this->keep(new CareHome($clinicId, 'x', at: $now))->id;
            $ids['report'] = $this->keep(
                Report::draft(
                    $client,
                    new ReportSpan(ReportKind::Review, $now->modify('-30 days'), $now, $now),
                    new Written([], []),
                    $therapist,
                    at: $now,
                ),
            )->id;
            $class = $this->keep(new HandClass($clinicId, 'x', $therapist->id, $now));
            $ids['class'] = $class->id;
            $ids['run'] = $this->keep(new ClassRun(
                $class,
                Actor::staff($therapist->id),
                [],
                $now,
            ))->id;
            $ids['helper'] = $this->keep(
                new Helper($clinicId, $client->id, 'x', HelperKind::Family, at: $now),
            )->id;
            $ids['telephone'] = $this->keep($telephone)->id;
            $ids['consent'] = $this->keep(new Consent(
                $clinicId,
                $client->id,
                ConsentKind::HomeUse,
                'x',
                way: ConsentWay::Spoken,
                givenOn: $now,
                words: '',
                keptById: $therapist->id,
                keptAt: $now,
            ))->id;
            $ids['message'] = $this->keep(new Message(
                '018f3a52-0000-7000-8000-0000000000aa',
                $clinicId,
                $client->id,
                $telephone->id,
                person: ActorKind::Client,
                about: MessageAbout::Other,
                text: '',
                at: $now,
                receivedAt: $now,
            ))->id;
            $ids['device'] = $this->keep(
                Device::register(
                    $clinicId,
                    'Glove',
                    DeviceKind::Glove,
                    Side::Right,
                    simulated: true,
                    now: $now,
                )[0],
            )->id;
        }
        $router = $this->service(RouterInterface::class);
        $addresses = [];
        foreach ($router->getRouteCollection() as $name => $route) {
            $values = array_filter(
                $ids,
                static fn (string $key): bool => \in_array(
                    $key,
                    $route->compile()->getPathVariables(),
                    true,
                ),
                \ARRAY_FILTER_USE_KEY,
            );
            foreach ([] === $route->getMethods() ? ['GET'] : $route->getMethods() as $method) {
                $addresses[] = [
                    $name,
                    $method,
                    $router->generate($name, $values),
                ];
            }
        }

        return $addresses;
    }
}
