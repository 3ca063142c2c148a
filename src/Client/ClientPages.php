<?php

declare(strict_types=1);

namespace HandGarden\Client;

/**
 * The way through the pages of a client, in the order of the work: know, plan, do, follow. A new page is a line here;
 * only pages that exist are shown.
 */
final class ClientPages
{
    /** @return array<string, list<ClientPage>> by area */
    public static function areas(): array
    {
        return [
            'Know' => [
                new ClientPage(
                    'Overview',
                    'desk_client',
                    key: 'o',
                    under: ['client_edit', 'assessment_visit'],
                ),
                new ClientPage('Screening', 'client_screening', 'ROLE_THERAPIST', 's'),
                new ClientPage('Measure', 'assessment_measure', 'ROLE_THERAPIST', 'm', under: [
                    'assessment_correct',
                    'assessment_screen',
                    'assessment_steadiness',
                    'device_live',
                ]),
                new ClientPage('Findings', 'assessment_findings', key: 'f'),
            ],
            'Plan' => [
                new ClientPage('Placement', 'planning_placement', key: 'p'),
                new ClientPage(
                    'Goals',
                    'planning_goals',
                    key: 'g',
                    under: ['planning_set_goal'],
                ),
                new ClientPage('Approaches', 'planning_approaches', 'ROLE_THERAPIST', 'a'),
                new ClientPage('Routine', 'planning_routine', key: 'r'),
                new ClientPage(
                    'Shown first',
                    'planning_shown',
                    under: ['planning_shown_mark'],
                ),
                new ClientPage(
                    'Helpers',
                    'planning_helpers',
                    key: 'e',
                    under: ['planning_helpers_add', 'planning_teach'],
                ),
                new ClientPage(
                    'Wearing',
                    'wearing_plans',
                    under: ['wearing_plans_begin', 'wearing_plans_change'],
                ),
                new ClientPage(
                    'Week',
                    'planning_week',
                    key: 'w',
                    under: ['planning_week_times'],
                ),
            ],
            'Do' => [
                new ClientPage('Sitting', 'sitting_start', key: 'i'),
                new ClientPage('Hands-on release', 'sitting_release', 'ROLE_RELEASE'),
            ],
            'Follow' => [
                new ClientPage('Four minutes', 'desk_look', key: 'u'),
                new ClientPage(
                    'Decisions',
                    'progress_decisions',
                    key: 'd',
                    under: ['following_alert'],
                ),
                new ClientPage(
                    'Logbook',
                    'following_logbook',
                    key: 'l',
                    under: ['sitting_record', 'following_paper'],
                ),
                new ClientPage('Trends', 'following_trends', key: 'k'),
                new ClientPage('What grows', 'desk_growing'),
                new ClientPage('Review', 'following_review', key: 'v'),
                new ClientPage(
                    'Reports',
                    'report_all',
                    under: [
                        'report_all_draft',
                        'report_all_one',
                        'report_all_facts',
                        'report_all_beside',
                        'report_change',
                    ],
                ),
                new ClientPage('At home', 'home_side', key: 'h', under: ['home_diary_side']),
                new ClientPage('What if', 'progress_what_if', 'ROLE_THERAPIST'),
            ],
        ];
    }

    /** The area that a page belongs to; the first one for a page that nobody entered here. */
    public static function areaOf(string $route): string
    {
        foreach (self::areas() as $area => $pages) {
            foreach ($pages as $page) {
                if ($page->holds($route)) {
                    return $area;
                }
            }
        }

        return 'Know';
    }
}
