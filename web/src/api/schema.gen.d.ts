/** Made from openapi.json by `make types`: change the server, not this file. */

import type { Moment, Day, CivilTime } from "./time";
export interface paths {
    "/api/about": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** Version, licence, clock, and whether this browser must sign in. */
        get: operations["about"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/attempts/{id}/judge": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Judges pieces while they are typed; nothing is kept. */
        post: operations["class_judge_pieces"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/attempts/{id}/samples": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Judges pieces and keeps them with the attempt. */
        post: operations["class_add_sample"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/bench/onion": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** An onion cut one way, cell by cell; nothing is kept. */
        post: operations["bench_onion"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/bench/onion/beside": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Two or three onions beside each other, with their differences in words; nothing is kept. */
        post: operations["bench_onions_beside"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/bench/onion/choose": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** The way of cutting an onion that gives most of a wanted size; nothing is kept. */
        post: operations["bench_choose"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/blind-draw": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** Places of the pieces to measure, when a pile is laid in a row: ten, or all where there are fewer. */
        get: operations["class_draw"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/calendar/{secret}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** The lessons of the course whose calendar has this address; without signing in. */
        get: operations["calendar_subscribed"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/catalogue": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** Knives, foods, cuts, standards, faults and all other words of the field. */
        get: operations["catalogue"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/changes": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** What was changed by whom, the latest first; it is kept for some 400 days. */
        get: operations["changes_show"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/copies": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** How the copies of the school stand. */
        get: operations["copies_show"];
        put?: never;
        /** Makes a copy now, while the school goes on, and checks it. */
        post: operations["copies_make"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/copies/keep": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /** Says how many copies are kept; the next one thins them out. */
        put: operations["copies_keep"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/course-file": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Takes a course from a file: a new course with people of its own. All of it or nothing. */
        post: operations["course_file_take"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/course-file/read": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Looks into a file before it is taken: what it holds, or everything that keeps it from being taken. */
        post: operations["course_file_read"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/courses": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** All courses. */
        get: operations["courses_list"];
        put?: never;
        /** Adds a course. */
        post: operations["courses_add"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/courses/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** One course with its lessons and students. */
        get: operations["courses_show"];
        /** Changes a course. */
        put: operations["courses_change"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/courses/{id}/advice": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Advice for a choice of food and cut, worked out while choosing; nothing is kept. */
        post: operations["plan_advice"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/courses/{id}/bench": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Pieces, waste, strokes and minutes of a cut, both ways of working; nothing is kept. */
        post: operations["bench_cut"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/courses/{id}/bench/beside": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Two or three cuts beside each other, with their differences in words; nothing is kept. */
        post: operations["bench_beside"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/courses/{id}/calendar": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** The lessons of a course as a calendar (iCalendar), by the clock of its time zone. */
        get: operations["courses_calendar"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/courses/{id}/calendar/address": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** The address to which calendars subscribe. */
        get: operations["courses_calendar_address"];
        put?: never;
        /** Makes an address to which calendars subscribe, of 128 random bits, or takes it back. */
        post: operations["courses_share_calendar"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/courses/{id}/doctrines": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /** Chooses the doctrines of a course. */
        put: operations["playbook_choose_doctrines"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/courses/{id}/doctrines/try": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** What other doctrines would change; nothing is kept. */
        post: operations["playbook_try_doctrines"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/courses/{id}/file": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** A course as one file: all that was chosen, planned, made and measured in it. */
        get: operations["course_file_write"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/courses/{id}/kit": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** The exercises and knives that a kit of this course is worked out from. */
        get: operations["playbook_kit_options"];
        put?: never;
        /** The smallest, or the cheapest, kit that covers the cuts. */
        post: operations["playbook_kit"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/courses/{id}/lessons": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Adds a lesson to a course. */
        post: operations["plan_add_lesson"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/courses/{id}/order": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** One order over the lessons of a course, by delivery day. */
        get: operations["order_show"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/courses/{id}/order/table": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** The same order as comma-separated text. */
        get: operations["order_table"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/courses/{id}/people": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Takes people of the school into a course, with all that is known of them. Stations are numbered by themselves. */
        post: operations["courses_take_along"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/courses/{id}/plan": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** The course as it is planned. */
        get: operations["course_plan_show"];
        /** Keeps a plan: exercises and their practice in every session to come, and the goals. */
        put: operations["course_plan_keep"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/courses/{id}/plan/try": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** The course as it stands on the screen, or drafted from there; nothing is kept. */
        post: operations["course_plan_try"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/courses/{id}/playbook": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** Cuts against knives. */
        get: operations["playbook_matrix"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/courses/{id}/playbook/preparation": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** The preparation of a food, step by step up to a cut. */
        get: operations["playbook_preparation"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/courses/{id}/rack/bought": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Puts a knife on the rack with what was seen of it. */
        post: operations["rack_bought"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/courses/{id}/rack/inspect": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Looks a knife over, for the cuts of a course; nothing is kept. */
        post: operations["rack_inspect"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/courses/{id}/room": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /** Places the stations of a course as they stand in the room. */
        put: operations["room_keep"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/courses/{id}/roster": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** The class list as comma-separated text. */
        get: operations["courses_roster"];
        put?: never;
        /** Takes the people of a class list into a course: all, or with `skip_wrong` those who are understood. */
        post: operations["courses_take_roster"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/courses/{id}/roster/read": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Reads a class list, line by line; nothing is kept. */
        post: operations["courses_read_roster"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/courses/{id}/sessions": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Adds lessons by a rule of weekdays, after those that are there. */
        post: operations["course_plan_add_sessions"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/courses/{id}/students": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Adds a student. */
        post: operations["courses_add_student"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/courses/{id}/yard": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** All students of a course with their four rules and what comes next. */
        get: operations["yard_show"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/demonstrations/{id}/take-back": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Takes a demonstration back: it stays, with who and why. */
        post: operations["sharp_dull_take_back"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/exercises/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /** Changes an exercise. */
        put: operations["plan_change_exercise"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/exercises/{id}/archive": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Takes an exercise and its practice out of the lesson, or puts both back. */
        post: operations["plan_archive_exercise"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/incidents/{id}/take-back": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Takes an incident back: it stays, with who and why. Answers with all incidents of its lesson. */
        post: operations["class_take_incident_back"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/join/{secret}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** Whom an invitation is for. */
        get: operations["invited"];
        put?: never;
        /** Takes an invitation, once: the passphrase is chosen and this browser signed in. */
        post: operations["join"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/lessons/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /** Changes a lesson: title, time, segments. */
        put: operations["plan_change_lesson"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/lessons/{id}/ask": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** The next question of a round, and how it stands; nothing is kept. */
        post: operations["ask_look"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/lessons/{id}/attempts": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Starts attempts, unless something stands between a student and the knife. Of several, those start that can; the
         *     answer says who could not and why.
         */
        post: operations["class_start"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/lessons/{id}/briefings": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Keeps a round as a briefing: of one student, or of everybody who is there. Passed or not is worked out here. */
        post: operations["ask_keep"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/lessons/{id}/check": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** The check sheet of a lesson. */
        get: operations["check_show"];
        put?: never;
        /** Ticks a line of the check sheet. */
        post: operations["check_tick"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/lessons/{id}/class": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** The class: stations, knives and attempts of a lesson. */
        get: operations["class_show"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/lessons/{id}/close": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Closes a class. With a knife missing it must be said what happened. */
        post: operations["count_close"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/lessons/{id}/closing": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** What to look at before a class is closed, what is open first. */
        get: operations["closing_show"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/lessons/{id}/count": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** The count of a lesson: knives that went out, and which are not back. */
        get: operations["count_show"];
        put?: never;
        /** Counts knives out or in by their numbers. One wrong number and none is counted. */
        post: operations["count_knives"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/lessons/{id}/drawings": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** What is drawn at the stations of a lesson: outlines of the knives, sections of the cuts. */
        get: operations["class_drawings"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/lessons/{id}/exercises": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Adds an exercise to a lesson, with a practice segment for it. */
        post: operations["plan_add_exercise"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/lessons/{id}/incidents": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Writes a nick or near-miss down. */
        post: operations["class_add_incident"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/lessons/{id}/marks": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Marks what was seen of a student. A Stop fault also stops the attempt, and the student waits until it is cleared. */
        post: operations["class_mark"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/lessons/{id}/paper": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** The pages of a lesson, for the screen. */
        get: operations["paper_show"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/lessons/{id}/paper/pdf": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** The pages of a lesson as one PDF file. */
        get: operations["paper_pdf"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/lessons/{id}/paper/svg": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** One page of a lesson as an SVG file. */
        get: operations["paper_svg"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/lessons/{id}/plan": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** A lesson on its rule, with its exercises. */
        get: operations["plan_show"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/lessons/{id}/produce": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** What each exercise of a lesson takes, where the food goes, who may not have it, and what to order. */
        get: operations["produce_show"];
        /** Keeps what is said about the food of a lesson. */
        put: operations["produce_keep"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/lessons/{id}/produce/look": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** The food of a lesson with something else said about it; nothing is kept. */
        post: operations["produce_look"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/lessons/{id}/ready": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** Whether a lesson can begin: one list, worst first, each with its way out. */
        get: operations["ready_show"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/lessons/{id}/rotation": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** Who works in which round on which exercise with which knife. */
        get: operations["rotation_show"];
        /** Announces the rotation as it is with this news of the day. */
        put: operations["rotation_announce"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/lessons/{id}/rotation/look": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** The rotation with other news of the day: who is away or late, which knife is out, what is held; nothing is kept. */
        post: operations["rotation_look"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/lessons/{id}/rotation/table": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** The rotation as comma-separated text. */
        get: operations["rotation_table"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/lessons/{id}/run": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** How a lesson runs: the part that runs, what comes next, whether it ends in time. */
        get: operations["run_show"];
        put?: never;
        /**
         * Begins the lesson, stops its clock, goes on to the next part, gives a part more minutes or changes the rest.
         *     A step that no longer fits, since another device was quicker, is refused.
         */
        post: operations["run_step"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/lessons/{id}/sharp-dull": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** What can be shown with a sharp and a dulled knife, and what was shown in this lesson. */
        get: operations["sharp_dull_show"];
        put?: never;
        /** Keeps what was shown with the lesson. */
        post: operations["sharp_dull_keep"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/lessons/{id}/sharp-dull/look": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Looks at both knives while figures are typed; nothing is kept. */
        post: operations["sharp_dull_look"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/lessons/{id}/stop": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Stops the attempts of students. One that was stopped before keeps the earlier moment of the two. */
        post: operations["class_stop"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/lessons/{id}/time-rule": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /** Keeps the time rule: its segments, less to cut of some exercises, and others left out; all or nothing. */
        put: operations["plan_keep_time_rule"];
        /** Lays segments out as they stand on the screen; nothing is kept. */
        post: operations["plan_time_rule"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/lessons/{id}/undo": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Takes a touch back: an attempt that it started is gone, one that it stopped runs on, its mark counts no more. */
        post: operations["class_undo"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/lessons/{id}/wall": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** The quiet view for a wall screen. */
        get: operations["wall_show"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/live": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Tells of each change once it is kept, as server-sent events of one line of JSON. The first one has no subject: what
         *     was read before it may be old. It ends when the school is closed or the page's session is.
         */
        get: operations["live"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/made-up": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** This browser looks at the made-up school from now on; it has a folder of its own. */
        post: operations["made_up_open"];
        /** This browser is back at the school's own records. */
        delete: operations["made_up_leave"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/marks/{id}/correct": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Corrects a mark: the original stays, with who took it back and why; what is put in its place stands beside it. */
        post: operations["class_correct_mark"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/me/name": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /** Says who is at this device, where nobody signs in: what is changed from it is noted under that name. */
        put: operations["name_here"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/me/passphrase": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /** Changes one's own passphrase; other browsers that were signed in with the old one no longer are. */
        put: operations["passphrase_change"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/own": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** What the school edited or copied. */
        get: operations["own_list"];
        put?: never;
        /** Keeps an own value, new or changed. Past judgements keep the figures they were made with. */
        post: operations["own_keep"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/own/drop": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Drops an own value, so that the shipped one stands again. A copy that is used stays. */
        post: operations["own_drop"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/people": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** Everyone of the school, with the courses that they are or were in. */
        get: operations["people_list"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/rack": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** The rack, each knife drawn, with what is due. */
        get: operations["rack_list"];
        put?: never;
        /** Puts a knife on the rack. */
        post: operations["rack_add"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/rack/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /** Changes a knife. */
        put: operations["rack_change"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/rack/{id}/archive": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Takes a knife off the rack, or puts it back. */
        post: operations["rack_archive"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/rack/{id}/care": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** The care of a knife: what was done, what is due, its angle, its parts. */
        get: operations["care_show"];
        put?: never;
        /** Writes down what was done to a knife. A failed test takes it out of class at once. */
        post: operations["care_add"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/rack/list": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Puts knives by count on the rack, numbered after those that are there: all, or with `skip_wrong` those
         *     that are understood.
         */
        post: operations["rack_take_list"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/rack/list/read": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Reads knives by count, as `6 chef's 200, 4 paring 90`; nothing is kept. */
        post: operations["rack_read_list"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/rack/many": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Puts several knives on the rack that are alike but for their numbers. */
        post: operations["rack_add_many"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/rack/table": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** The rack as comma-separated text. */
        get: operations["rack_table"];
        put?: never;
        /** Puts the knives of a table on the rack: all, or with `skip_wrong` the sound ones. */
        post: operations["rack_take_table"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/rack/table/read": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Reads a table of knives, row by row; nothing is kept. */
        post: operations["rack_read_table"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/run-steps/{id}/undo": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Takes a step of the clock back. */
        post: operations["run_undo"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/samples/{id}/beside": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** Two samples side by side, the earlier one first. They must be of the same cut. */
        get: operations["class_beside"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/samples/{id}/take-back": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Takes a sample back: it stays beside the others, with who and why, and is no evidence any more. */
        post: operations["class_take_sample_back"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/sessions/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post?: never;
        /** Signs a browser out: one's own, or anybody's as an instructor. */
        delete: operations["session_end"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/sign-in": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Signs this browser in. Tries of one caller stand in line, and wait longer after each wrong one. */
        post: operations["sign_in"];
        /** Signs this browser out. */
        delete: operations["sign_out"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/staff": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** Who works here, and which browsers are signed in. */
        get: operations["staff_show"];
        put?: never;
        /** Adds somebody who works here. To sign in, that person needs an invitation. */
        post: operations["staff_add"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/staff/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /** Changes name or role of somebody who works here. */
        put: operations["staff_change"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/staff/{id}/archive": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Says that somebody no longer works here, and signs that person out everywhere; or that somebody does again. */
        post: operations["staff_archive"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/staff/{id}/invitation": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Makes a link by which somebody chooses a passphrase, for the first time or anew; an earlier link counts no longer. */
        post: operations["staff_invite"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/staff/first": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Where nobody signs in: from now on everybody does, this instructor first. */
        post: operations["staff_begin"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/start": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** What a new school can start with. */
        get: operations["start_doors"];
        put?: never;
        /** Starts a course of a known kind: its sessions, people, knives, goals, and its lessons drafted; all or nothing. */
        post: operations["start_course"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/start/read": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Names and knives while they are typed; nothing is kept. */
        post: operations["start_read"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/students/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /** Changes a student. */
        put: operations["students_change"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/students/{id}/archive": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Takes a student out of the course, or brings one back. */
        post: operations["students_archive"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/students/{id}/evidence": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** One student with all evidence. */
        get: operations["yard_student"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
}
export type webhooks = Record<string, never>;
export interface components {
    schemas: {
        /** @description What this program is, and how the asking browser stands to it. */
        About: {
            /** @description It is looked at beside the school's own, and can be left. */
            beside_own: boolean;
            /** @description The made-up school is shown. */
            demo: boolean;
            /** @description Licence of our own code. */
            licence: string;
            /** @description It listens to this machine only. */
            loopback: boolean;
            /** @description The made-up school can be looked at from here. */
            made_up: boolean;
            /** @description Signing in needs a name too: more than one person does. */
            names: boolean;
            /**
             * Format: date-time
             * @description The present moment by the program's clock.
             */
            now: Moment;
            /** @description It is reached over TLS, or by this machine alone: the page may keep itself for when there is no network. */
            secure: boolean;
            /** @description This browser may use the program. */
            signed_in: boolean;
            /** @description Time zone of this machine, by name. */
            time_zone: string;
            /** @description Version of the program. */
            version: string;
            who?: components["schemas"]["WhoIsHere"] | null;
        };
        /** @description Everything that Plan shows about one exercise. */
        Advice: {
            /** @description How much each student cuts: as chosen, else the usual. */
            amount: components["schemas"]["Amount"];
            /** @description Cautions, the gravest first. */
            cautions: components["schemas"]["ShownCaution"][];
            /** @description Pieces, minutes, food to buy. */
            figures: components["schemas"]["ExerciseFigures"];
            /** @description All grips. */
            grips: components["schemas"]["Rated_Grip"][];
            /** @description All holds. */
            holds: components["schemas"]["Rated_Hold"][];
            /** @description Index in `knives` of the one in the setup. */
            knife?: number | null;
            /** @description All knives, best first. */
            knives: components["schemas"]["KnifeChoice"][];
            /**
             * Format: int32
             * @description Sharp knives on the rack that fit, of any model.
             */
            knives_that_fit: number;
            /** @description All motions for that knife. */
            motions: components["schemas"]["Rated_Motion"][];
            /** @description Who of the class may not hold the knife of the setup yet, and what they take. */
            others: components["schemas"]["OtherKnife"][];
            /** @description A rule refuses the setup: it cannot be saved. */
            refused: boolean;
            section?: components["schemas"]["SectionDrawing"] | null;
            setup?: components["schemas"]["ChosenSetup"] | null;
            silhouette?: components["schemas"]["Silhouette"] | null;
            /** @description Target: of the course's set of standards, with the exercise's own sizes laid over it. */
            target: components["schemas"]["Target"];
            /** @description The cut is taught on this food; if not, it is possible, and never proposed. */
            taught: boolean;
            /** @description All thirds. */
            thirds: components["schemas"]["Rated_Third"][];
            /** @description `Julienne of carrot`. */
            title: string;
            /** @description Tools beside the knife to lay out. */
            tools: components["schemas"]["ShownTool"][];
            /** @description The usual amounts, in pieces, units and grams, the proposed one first. */
            usual: components["schemas"]["Amount"][];
            /** @description Warnings of the setup as it stands; saving keeps them. */
            warnings: components["schemas"]["KeptWarning"][];
        };
        /** @description What the instructor has chosen so far; what is missing is proposed. */
        AdviceChoice: {
            amount?: components["schemas"]["Amount"] | null;
            /** @description Id of the cut. */
            cut: string;
            /** @description Id of the food. */
            food: string;
            grip?: components["schemas"]["Grip"] | null;
            hold?: components["schemas"]["Hold"] | null;
            knife_length?: components["schemas"]["Millimetres"] | null;
            /** @description Id of the knife type; goes with the length. */
            knife_type?: string | null;
            /** @description Which knives are compared. */
            knives?: components["schemas"]["KnifeSource"];
            /** @description How it is made, where that is not the course's usual. */
            making?: components["schemas"]["Making"];
            motion?: components["schemas"]["Motion"] | null;
            /**
             * Format: double
             * @description The instructor's own minutes for each student.
             */
            own_minutes?: number | null;
            /**
             * Format: int64
             * @description Id of a student of the course, where the question is about one.
             */
            student?: number | null;
            third?: components["schemas"]["Third"] | null;
        };
        /**
         * @description Who the course is for: it decides the hold that is taught first and the longest blade.
         * @enum {string}
         */
        AgeBand: "adult" | "child";
        /** @description Students who may not have the food of an exercise. */
        AllergyCase: {
            /** @description The allergens of the food that they named. */
            allergens: string[];
            /** @description Foods of similar geometry on which the same cut is taught and that nobody of the class is allergic to. */
            alternatives: components["schemas"]["Alternative"][];
            /** @description The one that is taken, by id. */
            chosen?: string | null;
            /**
             * Format: int64
             * @description The exercise, by id.
             */
            exercise_id: number;
            /** @description Who, by name. */
            names: string[];
            /** @description Who, by id. */
            student_ids: number[];
            /** @description `Julienne of celery`. */
            title: string;
            /** @description What it means, in words. */
            words: components["schemas"]["Text"];
        };
        /** @description A food that is cut in place of another. */
        Alternative: {
            /** @description Id of the food. */
            food: string;
            /** @description Name. */
            name: string;
            /** @description In what it is like the other, in words. */
            words: components["schemas"]["Text"];
        };
        /** @description How much each student cuts. */
        Amount: {
            /**
             * Format: int32
             * @description Pieces for each student.
             */
            count: number;
            /** @enum {string} */
            kind: "pieces";
        } | {
            /**
             * Format: int32
             * @description Units for each student.
             */
            count: number;
            /** @enum {string} */
            kind: "units";
        } | {
            /**
             * Format: int32
             * @description Grams for each student.
             */
            count: number;
            /** @enum {string} */
            kind: "grams";
        };
        /** @description How to find an angle with this knife. */
        AngleAid: {
            /** @description Degrees per side. */
            angle: components["schemas"]["Degrees"];
            /** @description The fold that comes nearest, in words. */
            fold: string;
            /** @description Angles that folding a square corner gives: 90, 45, 22.5, 11.25. */
            folds: number[];
            /** @description Height of the middle of the spine above the stone: b sin α. */
            spine_height: components["schemas"]["Millimetres"];
            /** @description Height of the underside of the spine above the stone: b sin α − T/2 cos α, at least 0. */
            underside: components["schemas"]["Millimetres"];
            /** @description What to mind. */
            warnings: string[];
        };
        /** @description The angles that a type is ground to. */
        AngleRange: {
            /**
             * Format: double
             * @description Smallest, degrees per side.
             */
            from: number;
            /**
             * Format: double
             * @description Largest, degrees per side.
             */
            to: number;
        };
        /** @description A student's exercise as it was announced. */
        AnnouncedTurn: {
            /**
             * Format: int64
             * @description The exercise.
             */
            exercise_id: number;
            /**
             * Format: int64
             * @description The knife.
             */
            knife_id: number;
            /**
             * Format: int32
             * @description The round, from 1.
             */
            round: number;
            /**
             * Format: int64
             * @description The student.
             */
            student_id: number;
        };
        /** @description A question that was answered. */
        Answered: {
            /** @description What it was about. */
            about: components["schemas"]["AskAbout"];
            /** @description Id of the answer that was given. */
            answer: string;
        };
        /** @description Takes a record out, or brings it back. */
        Archive: {
            /** @description `true` takes it out, `false` brings it back. */
            archived: boolean;
            /**
             * Format: int64
             * @description Version that was read before.
             */
            version: number;
        };
        /** @description What a question is about: enough to ask it again, with other answers beside the right one. */
        AskAbout: {
            /** @enum {string} */
            kind: "outline";
            /** @description Id of the type. */
            knife_type: string;
        } | {
            /** @description Id of the cut. */
            cut: string;
            /** @description Id of the food. */
            food: string;
            /** @enum {string} */
            kind: "knife";
        } | {
            /** @description Id of the fault. */
            fault: string;
            /** @enum {string} */
            kind: "fault";
        } | {
            /** @description Id of the cut. */
            cut: string;
            /** @enum {string} */
            kind: "size";
        } | {
            /** @description Id of the caution. */
            caution: string;
            /** @description Id of the cut. */
            cut: string;
            /** @description Id of the food. */
            food: string;
            /** @enum {string} */
            kind: "caution";
        };
        /** @description A round of questions, as far as it was answered. */
        AskRound: {
            /** @description Answers in the order in which they were given, up to 200. */
            answered: components["schemas"]["Answered"][];
            /**
             * Format: int32
             * @description So that one round is not like another.
             */
            seed: number;
            /**
             * Format: int64
             * @description The student who is asked; none where the room is.
             */
            student_id?: number | null;
        };
        /** @description How a round stands. */
        AskStanding: {
            /**
             * Format: int32
             * @description New questions so far.
             */
            asked: number;
            /**
             * Format: int32
             * @description New questions in the round.
             */
            of: number;
            /**
             * Format: int32
             * @description Missed, and not yet answered right.
             */
            open: number;
            /** @description All of them were asked, and none is open. */
            passed: boolean;
            /**
             * Format: int32
             * @description Answered right at once.
             */
            right: number;
            /**
             * Format: int32
             * @description How long a round is meant to take, seconds.
             */
            seconds: number;
        };
        /** @description What comes next in a round, and how it stands. */
        AskView: {
            question?: components["schemas"]["Question"] | null;
            /** @description How it stands. */
            standing: components["schemas"]["AskStanding"];
        };
        /** @description An attempt as kept. */
        Attempt: {
            /** @description Id of the cut. */
            cut: string;
            /**
             * Format: int64
             * @description Exercise.
             */
            exercise_id: number;
            /**
             * Format: int64
             * @description Id.
             */
            id: number;
            /**
             * Format: int64
             * @description Knife in hand.
             */
            knife_id: number;
            /**
             * Format: int64
             * @description Lesson.
             */
            lesson_id: number;
            /** @description Marks in the order of time, those that were taken back too. */
            made?: components["schemas"]["Mark"][];
            /** @description What the marks come to. */
            marks: components["schemas"]["AttemptMarks"];
            /**
             * Format: date
             * @description Day by the school's clock.
             */
            on_day: Day;
            /**
             * Format: double
             * @description Seconds of the reference pace for the set amount.
             */
            reference_seconds?: number | null;
            /** @description Samples in the order entered, without those that were taken back. */
            samples: components["schemas"]["Sample"][];
            /**
             * Format: double
             * @description Seconds from start to stop; none while it runs.
             */
            seconds?: number | null;
            /** @description Id of the set of standards on that day. */
            standard_set?: string;
            /**
             * Format: date-time
             * @description Moment of the start.
             */
            started_at: Moment;
            /**
             * Format: date-time
             * @description Moment of the stop; none while it runs.
             */
            stopped_at?: Moment | null;
            strand?: components["schemas"]["Strand"] | null;
            /**
             * Format: int64
             * @description Student.
             */
            student_id: number;
            /** @description Samples that were taken back: kept, and no evidence. */
            taken_back?: components["schemas"]["Sample"][];
            /** @description Target sizes on that day. */
            target: components["schemas"]["Target"];
            /** @description Tolerance on that day. */
            tolerance: components["schemas"]["Tolerance"];
            /**
             * Format: int64
             * @description Rises with each change.
             */
            version: number;
        };
        /** @description What the marks of an attempt come to. */
        AttemptMarks: {
            /** @description Ids of the faults seen, each once. */
            faults: string[];
            /** @description Grip was right. */
            grip_ticked: boolean;
            /** @description Hold was right. */
            hold_ticked: boolean;
        };
        /**
         * @description How an avocado's stone comes out.
         * @enum {string}
         */
        AvocadoStone: "spoon" | "quartered" | "heel_on_board";
        /** @description A half ball cut into pieces. */
        BallFigures: {
            /**
             * Format: int32
             * @description Crosscuts through the half.
             */
            crosscuts: number;
            /** @description Volumes of the pieces in figures, mm³. */
            figures: components["schemas"]["Figures"];
            /**
             * Format: int32
             * @description Whole slabs and end caps.
             */
            slabs: number;
        };
        /** @description A steady beat, one stroke each. */
        Beat: {
            /** @description A quicker one is held back until the pieces are even. */
            held_back: boolean;
            /**
             * Format: double
             * @description Strokes a minute, above 0.
             */
            per_minute: number;
            /** @description Which pace it is, and why no quicker one. */
            words: components["schemas"]["Text"];
        };
        /**
         * @description Which blade a beginner starts with.
         * @enum {string}
         */
        BeginnerBlade: "ladder" | "small_first" | "big_first";
        /** @description The chosen knife, drawn. */
        BenchBlade: {
            /** @description Which one, among the knives. */
            index: number;
            /** @description Its outline. */
            silhouette: components["schemas"]["Silhouette"];
            /** @description Part of the blade that does the work. */
            third: components["schemas"]["Third"];
        };
        /** @description A named figure of a cut. */
        BenchFact: {
            /** @description What it is. */
            name: string;
            /** @description The figure. */
            value: components["schemas"]["FactValue"];
        };
        /** @description A knife that could be chosen. */
        BenchKnife: {
            /** @description Id of the type. */
            knife_type: string;
            /** @description Blade length. */
            length: components["schemas"]["Millimetres"];
            /** @description Label, e.g. `Flat chef's 210`. */
            name: string;
            refused?: components["schemas"]["Text"] | null;
        };
        /** @description A layered food, to be looked at cell by cell. */
        BenchLayers: {
            /** @description Full width. */
            across: components["schemas"]["Millimetres"];
            /**
             * Format: int32
             * @description Layers.
             */
            layers: number;
            length?: components["schemas"]["Millimetres"] | null;
            size?: components["schemas"]["Millimetres"] | null;
        };
        /** @description Something that comes of the food. */
        BenchProduct: {
            /**
             * Format: int32
             * @description Pieces for each student; none of what is weighed only.
             */
            each?: number | null;
            /**
             * Format: double
             * @description Grams for the class.
             */
            grams_class: number;
            /**
             * Format: double
             * @description Grams for each student.
             */
            grams_each: number;
            /** @description What it is, e.g. `julienne`. */
            name: string;
            /** @description What it comes of, in words. */
            of: string;
            /**
             * Format: int32
             * @description Passes of a mince.
             */
            passes?: number | null;
        };
        /** @description What is looked at. */
        BenchQuestion: {
            /** @description Id of the cut. */
            cut: string;
            /** @description Errors along the chain. */
            errors?: components["schemas"]["CutErrors"];
            /** @description Id of the food. */
            food: string;
            /**
             * Format: int32
             * @description Good pieces that each student should have, 1 to 2,000.
             */
            good: number;
            knife_length?: components["schemas"]["Millimetres"] | null;
            /** @description Id of the knife type; goes with the length. The best on the rack where none is named. */
            knife_type?: string | null;
            length?: components["schemas"]["Millimetres"] | null;
            /**
             * Format: int32
             * @description Pieces of each student that go on to the next cut: sticks to cubes.
             */
            onward?: number;
            peel?: components["schemas"]["Millimetres"] | null;
            /**
             * Format: double
             * @description What a kilogram costs, up to 1,000, in the school's money.
             */
            price?: number | null;
            /** @description The size that it is bought in; a measured shape comes first. */
            produce?: components["schemas"]["ProduceSize"];
            shape?: components["schemas"]["Shape"] | null;
            /**
             * Format: double
             * @description Share of the pieces that come out good, 0.001 to 1.
             */
            success: number;
            thickness?: components["schemas"]["Millimetres"] | null;
            /** @description The way that is settled on: it is what is bought for and compared. */
            way?: components["schemas"]["Way"];
            /**
             * Format: int32
             * @description Wedges of one unit, even, 2 to 24, where they are not the usual number.
             */
            wedges?: number | null;
            width?: components["schemas"]["Millimetres"] | null;
        };
        /** @description A step of the chain. */
        BenchStep: {
            /** @description Cautions that first come up here. */
            cautions: components["schemas"]["ShownCaution"][];
            /**
             * Format: int32
             * @description How many come of it.
             */
            count?: number | null;
            /** @description What the hands do. */
            detail: string;
            /** @description The guide hand, the motion, the part of the blade: `claw · push cut · heel third`. */
            how: string;
            /** @description What the drawing shows. */
            shows: components["schemas"]["StepShows"];
            size?: components["schemas"]["Millimetres"] | null;
            third?: components["schemas"]["Third"] | null;
            /** @description What is done. */
            title: string;
        };
        /** @description Everything that the Bench shows of a cut of a food. */
        BenchView: {
            blade?: components["schemas"]["BenchBlade"] | null;
            carried?: components["schemas"]["Carried"] | null;
            /** @description Cautions of the cut with that knife. */
            cautions: components["schemas"]["ShownCaution"][];
            /** @description How the ways differ, in a sentence. */
            difference: components["schemas"]["Text"];
            /** @description The same in a sentence. */
            enough: components["schemas"]["Text"];
            /** @description Figures of cuts that are not counted from blocks. */
            facts: components["schemas"]["BenchFact"][];
            /** @description The dice that the sticks can go on to. */
            feeds?: string | null;
            /** @description Knives on the rack, best first. */
            knives: components["schemas"]["BenchKnife"][];
            /** @description The largest piece that is meant. */
            largest: components["schemas"]["PieceSides"];
            layers?: components["schemas"]["BenchLayers"] | null;
            /** @description Why pieces are not counted, where they are not. */
            no_count?: string | null;
            /** @description The piece that plans are made with. */
            nominal: components["schemas"]["PieceSides"];
            nothing_fits?: components["schemas"]["Text"] | null;
            outline?: components["schemas"]["FoodOutline"] | null;
            /**
             * Format: int32
             * @description Pieces that each student cuts, so that nine in ten have enough good ones.
             */
            pieces_each: number;
            /** @description What comes of it: the cut, what it feeds, trimmings by use. */
            products: components["schemas"]["BenchProduct"][];
            /** @description The food's size as it is worked with, unpeeled. */
            shape: components["schemas"]["Shape"];
            solid?: components["schemas"]["Solid"] | null;
            /** @description The chain, step by step. */
            steps: components["schemas"]["BenchStep"][];
            /** @description Sizes that are worked to. */
            target: components["schemas"]["Target"];
            /** @description `Julienne of carrot`. */
            title: string;
            /** @description Which of the ways is settled on; none without ways. */
            way?: number | null;
            /** @description Ways of working; squared first. */
            ways: components["schemas"]["BenchWay"][];
        };
        /** @description One way of working, in figures and drawn. */
        BenchWay: {
            /** @description The blocks in space. */
            blocks: components["schemas"]["SolidBlock"][];
            /**
             * Format: double
             * @description Grams of core of one unit.
             */
            core_grams: number;
            /**
             * Format: double
             * @description What they cost, where a price was given.
             */
            cost_class?: number | null;
            /**
             * Format: double
             * @description Grams of ends of one unit.
             */
            ends_grams: number;
            /**
             * Format: double
             * @description Grams for the class.
             */
            grams_class: number;
            /**
             * Format: double
             * @description Minutes for one unit at the class's pace.
             */
            minutes: number;
            /** @description Minutes for one unit at each pace. */
            minutes_by_pace: components["schemas"]["PaceMinutes"][];
            /** @description The way in words. */
            name: string;
            /**
             * Format: int32
             * @description Pieces of one unit that are not whole: with a rounded edge, cut too short, or crumbs.
             */
            partial: number;
            /**
             * Format: double
             * @description Grams of peel of one unit.
             */
            peel_grams: number;
            /**
             * Format: int32
             * @description Pieces of one unit.
             */
            pieces: number;
            /** @description The thickest section with its pieces. */
            pieces_drawn: components["schemas"]["PieceGrid"][];
            /**
             * Format: double
             * @description Share of the food that becomes pieces, 0..1.
             */
            share: number;
            /**
             * Format: int64
             * @description Strokes for one unit.
             */
            strokes: number;
            /**
             * Format: double
             * @description Grams of rounded sides, crumbs and tails of one unit.
             */
            trimmed_grams: number;
            /**
             * Format: int32
             * @description Units for the class.
             */
            units_class: number;
            /**
             * Format: int32
             * @description Units that give each student enough.
             */
            units_each: number;
            /** @description Which. */
            way: components["schemas"]["BenchWayKind"];
        };
        /**
         * @description Which way of working.
         * @enum {string}
         */
        BenchWayKind: "squared" | "flat_first" | "layers";
        /** @description Cuts beside each other. */
        Beside: {
            /** @description Each cut, as it is shown alone. */
            cuts: components["schemas"]["BenchView"][];
            /** @description How each after the first differs from it. */
            differences: components["schemas"]["Text"][];
            /** @description Their figures, one row a figure. */
            rows: components["schemas"]["BesideRow"][];
        };
        /** @description Cuts that are set beside each other, two or three. */
        BesideQuestion: {
            /** @description The cuts; the first is what the others are compared with. */
            cuts: components["schemas"]["BenchQuestion"][];
        };
        /** @description One figure of each thing that stands side by side. */
        BesideRow: {
            /** @description Which is the better one; none where they are equal, or where neither more nor less is better. */
            better?: number | null;
            /** @description How each after the first differs from it. */
            differences: (components["schemas"]["Text"] | null)[];
            /** @description What is counted or weighed. */
            name: string;
            /** @description The figure of each, none where it has none. */
            values: (components["schemas"]["Text"] | null)[];
        };
        /** @description One block that is squared and cut on its own. */
        Block: {
            /**
             * Format: int32
             * @description Pieces from each stick.
             */
            pieces: number;
            /**
             * Format: int32
             * @description Planks in the block.
             */
            planks: number;
            /** @description Size of the food's section that the block is squared from. */
            section: components["schemas"]["Millimetres"];
            /**
             * Format: int32
             * @description Sticks from each plank.
             */
            sticks: number;
        };
        /**
         * @description What a block is at its place.
         * @enum {string}
         */
        BlockKind: "new" | "review" | "other";
        /** @description A board material. */
        Board: {
            /** @description May be used at all. */
            allowed: boolean;
            /** @description Name. */
            name: string;
            /** @description Its id. */
            value: components["schemas"]["BoardMaterial"];
        };
        /**
         * @description What the boards of a course are made of.
         * @enum {string}
         */
        BoardMaterial: "wood" | "rubber" | "plastic" | "glass" | "stone" | "ceramic";
        /** @description The size of a board. */
        BoardSize: {
            /** @description The longer side, 150 to 1000 mm. */
            length: components["schemas"]["Millimetres"];
            /** @description The shorter side, 100 to 700 mm. */
            width: components["schemas"]["Millimetres"];
        };
        /**
         * @description What a type may do on the board.
         * @enum {string}
         */
        BoardWork: "all" | "small" | "none";
        /**
         * @description The thick part between blade and handle.
         * @enum {string}
         */
        Bolster: "none" | "half" | "full";
        /** @description A food in another size than the usual one. */
        Bought: {
            /**
             * Format: double
             * @description g/cm³ of the shape.
             */
            density: number;
            /** @description Shape and size. */
            shape: components["schemas"]["Shape"];
        };
        /** @description A knife that was looked over and bought. */
        BoughtKnife: {
            /** @description Its fields. */
            knife: components["schemas"]["KnifeFields"];
            /** @description What was seen of it. */
            seen: components["schemas"]["Inspected"];
        };
        /** @description What is kept of a briefing. */
        Briefing: {
            /** @description The answers, in the order in which they were given. */
            answered: components["schemas"]["Answered"][];
            /**
             * Format: int32
             * @description New questions that were asked.
             */
            asked: number;
            /**
             * Format: date-time
             * @description When it ended.
             */
            at: Moment;
            /**
             * Format: int64
             * @description Id; 0 before it is kept.
             */
            id?: number;
            /** @description All were asked, and what was missed was answered right in the end. */
            passed: boolean;
            /**
             * Format: int32
             * @description Answered right at once.
             */
            right: number;
            /** @description The room was asked, by show of hands; otherwise one student was. */
            room: boolean;
            /** @description Who was there. */
            students: number[];
        };
        /** @description A rule that a plan breaks. */
        BrokenRule: {
            /** @description Which. */
            rule: components["schemas"]["HardRule"];
            /** @description Why, in words. */
            words: components["schemas"]["Text"];
        };
        /** @description The address of a course's calendar. */
        CalendarAddress: {
            /** @description Path on this server; none while nobody can subscribe. Who has it reads the lessons without signing in. */
            path?: string | null;
        };
        /** @description Whether the lessons can be subscribed to. */
        CalendarShared: {
            /** @description `true` makes a new address, `false` takes it back. An address from before is good no more either way. */
            shared: boolean;
        };
        /** @description What was done to a knife, with the figures that belong to it. */
        CareDeed: {
            angle?: components["schemas"]["Degrees"] | null;
            /** @enum {string} */
            kind: "hone";
            /**
             * Format: int32
             * @description Strokes a side.
             */
            strokes: number;
        } | {
            angle?: components["schemas"]["Degrees"] | null;
            /** @description Grits, coarse first. */
            grits: number[];
            /** @enum {string} */
            kind: "stone";
            /**
             * Format: int32
             * @description Strokes a side on each grit.
             */
            strokes: number;
        } | {
            /**
             * Format: int32
             * @description Clean cuts; all of them must be clean to pass.
             */
            clean: number;
            /** @enum {string} */
            kind: "paper_test";
        } | {
            /** @enum {string} */
            kind: "tomato_test";
            /** @description Whether the skin parted. */
            passed: boolean;
        } | {
            /** @enum {string} */
            kind: "sent_out";
        } | {
            /** @enum {string} */
            kind: "came_back";
        } | {
            /** @enum {string} */
            kind: "incident";
        } | {
            /** @description Which. */
            habit: components["schemas"]["Habit"];
            /** @enum {string} */
            kind: "habit";
        } | {
            /** @enum {string} */
            kind: "inspection";
            /** @description What was seen. */
            seen: components["schemas"]["Inspected"];
        };
        /** @description A deed of care as kept. */
        CareEvent: components["schemas"]["CareFields"] & {
            /**
             * Format: int64
             * @description Id.
             */
            id: number;
            /**
             * Format: int64
             * @description Knife.
             */
            knife_id: number;
            /**
             * Format: date-time
             * @description When it was written down.
             */
            written_at: Moment;
        };
        /** @description What a person writes down of a deed. */
        CareFields: components["schemas"]["CareDeed"] & {
            /**
             * Format: date
             * @description Day by the school's clock, today or before.
             */
            on_day: Day;
            /** @description Words, up to 200 characters; needed for an incident. */
            words?: string;
        };
        /** @description What is known of a knife's care. */
        CareHistory: {
            /** @description Sent out and not back. */
            away: boolean;
            /**
             * Format: date
             * @description Last day that it was ground, on the stone or away.
             */
            ground_on?: Day | null;
            /**
             * Format: date
             * @description Last day on the steel.
             */
            honed_on?: Day | null;
            /**
             * Format: date
             * @description Last day that it was tested.
             */
            tested_on?: Day | null;
            /**
             * Format: date
             * @description First day in class since it was ground.
             */
            used_from?: Day | null;
            /** @description Wear since it was ground. */
            wear: components["schemas"]["Wear"];
        };
        /** @description What was written down. */
        CareTaken: {
            /** @description The knife as it is now. */
            knife: components["schemas"]["Knife"];
            /** @description What to mind, though it was taken. */
            warnings: string[];
        };
        /** @description What arrives. */
        Carried: {
            /**
             * Format: double
             * @description Standard error of that share, from plank to plank.
             */
            error: number;
            /**
             * Format: double
             * @description Share of pieces with all three sides inside, 0..1, in closed form.
             */
            inside: number;
            /** @description Length. */
            length: components["schemas"]["CarriedSide"];
            /** @description Pieces that were tried. */
            pieces: number;
            /** @description The reverse: what ten of the finished pieces, taken unseen, would say of the cause. */
            read_back: components["schemas"]["Causes"];
            /** @description Thickness. */
            thickness: components["schemas"]["CarriedSide"];
            thicknesses?: components["schemas"]["SideFigures"] | null;
            /**
             * Format: double
             * @description The same share among the pieces that were tried.
             */
            tried: number;
            /** @description Width. */
            width: components["schemas"]["CarriedSide"];
            widths?: components["schemas"]["SideFigures"] | null;
            /** @description What the chain does with these errors, in a sentence. */
            words: string;
        };
        /** @description What arrives of one side. */
        CarriedSide: {
            /** @description Mean and standard deviation in closed form, mm. */
            closed_form: number[];
            /**
             * Format: double
             * @description Share inside the tolerance, 0..1, in closed form.
             */
            inside: number;
            /** @description Mean size of the pieces that were tried. */
            mean: components["schemas"]["Millimetres"];
            /**
             * Format: double
             * @description Their standard deviation, mm (population).
             */
            sd: number;
        };
        /** @description Everything the screens choose from. */
        CatalogueView: {
            boards: components["schemas"]["Board"][];
            /** @description Blade lengths that a student is cleared for by length alone, the shortest first. */
            clearances: components["schemas"]["Millimetres"][];
            cuts: components["schemas"]["Cut"][];
            disclaimer: string;
            doctrines: components["schemas"]["DoctrineQuestion"][];
            faults: components["schemas"]["Fault"][];
            first_aid: string;
            /** @description Shelves of the pantry, in order. */
            food_groups: components["schemas"]["Named_FoodGroup"][];
            foods: components["schemas"]["Food"][];
            grips: components["schemas"]["Way_Grip"][];
            holds: components["schemas"]["Way_Hold"][];
            knives: components["schemas"]["KnifeType"][];
            motions: components["schemas"]["Way_Motion"][];
            parts: components["schemas"]["KnifePart"][];
            segments: components["schemas"]["LessonSegment"][];
            sets: components["schemas"]["StandardSet"][];
            thirds: components["schemas"]["Named_Third"][];
            /** @description Names of all time zones. */
            time_zones: string[];
            tolerances: components["schemas"]["Tolerance"][];
        };
        /**
         * @description A fault in the chain, or none.
         * @enum {string}
         */
        Cause: "sound" | "step_too_big" | "step_too_small" | "planks_too_thick" | "planks_too_thin" | "sticks_too_wide" | "sticks_too_narrow" | "steps_uneven" | "planks_uneven" | "sticks_uneven" | "drift" | "lean" | "lengths_vary" | "too_long" | "too_short";
        /** @description The causes of a sample, weighed. */
        Causes: {
            /** @description Whether the first stands clear of the others. */
            clear: boolean;
            /** @description The likeliest first, those over one in a hundred; empty for too few pieces. */
            likely: components["schemas"]["CauseShare"][];
            /** @description What the pieces could not show, each in a sentence. */
            not_seen?: string[];
            /** @description The finding in a sentence. */
            words: string;
        };
        /** @description A cause with how likely it is. */
        CauseShare: {
            /** @description The cause. */
            cause: components["schemas"]["Cause"];
            /**
             * Format: double
             * @description Likelihood among all causes, 0..1; they add up to 1.
             */
            share: number;
        };
        /**
         * @description How a caution is marked.
         * @enum {string}
         */
        CautionSeverity: "note" | "caution" | "stop";
        /** @description One piece in the section. */
        Cell: {
            /**
             * Format: double
             * @description mm².
             */
            area: number;
            /**
             * Format: int32
             * @description Place along the cuts: from the left, for radial cuts to the centre from the right.
             */
            column: number;
            /**
             * Format: int32
             * @description Layer from the centre out, 0 first.
             */
            layer: number;
            /**
             * Format: double
             * @description Longest straight line inside it, mm.
             */
            longest: number;
            /** @description Outline as an SVG path in mm: x across from the centre, y down from the top of the board. */
            path: string;
        };
        /** @description A half disc cut into cells. */
        CellSection: {
            /** @description Cells that count, layer by layer from the centre. */
            cells: components["schemas"]["Cell"][];
            /** @description Cuts as SVG paths, from the board to the skin. */
            cuts: string[];
            /** @description Their areas in figures. */
            figures: components["schemas"]["Figures"];
        };
        /** @description A change to a record, with the version it was made from. */
        Change_CourseFields: {
            /** @description What a person edits of a course. */
            fields: {
                /** @description Who it is for. */
                age_band: components["schemas"]["AgeBand"];
                /** @description What the boards are made of. */
                board_material: components["schemas"]["BoardMaterial"];
                /**
                 * Format: int32
                 * @description Boards, 1 to 60.
                 */
                boards: number;
                /** @description Nobody is handed a knife before a passed briefing. */
                briefing_first?: boolean;
                /** @description The doctrines that the course has chosen. */
                doctrines: components["schemas"]["Doctrines"];
                /**
                 * Format: int32
                 * @description Minutes of a lesson, 10 to 600.
                 */
                lesson_minutes: number;
                /** @description Name, 1 to 80 characters. */
                name: string;
                /** @description Pace that minutes are planned with. */
                pace: components["schemas"]["Pace"];
                /** @description Where it is taught, 1 to 80 characters. */
                place: string;
                /** @description What else it has: size of the boards, sinks, containers, people who watch, money for food. */
                resources?: components["schemas"]["Resources"];
                /** @description School that gives it, 1 to 80 characters. */
                school: string;
                /** @description Id of the set of standards. */
                standard_set: string;
                /** @description Time zone of the school, by its name in the time zone database, e.g. `Europe/Lisbon`. */
                time_zone: string;
                /** @description Id of the tolerance profile. */
                tolerance: string;
            };
            /**
             * Format: int64
             * @description Version that was read before the change.
             */
            version: number;
        };
        /** @description A change to a record, with the version it was made from. */
        Change_DraftSegments: {
            /** @description Segments as they stand on the screen, with what else makes the lesson fit. */
            fields: {
                /** @description Exercises of which each student cuts another amount. */
                fewer?: components["schemas"]["FewerOf"][];
                /** @description Exercises that are left out, by id. */
                leave_out?: number[];
                /**
                 * Format: int32
                 * @description Minutes of the lesson.
                 */
                minutes: number;
                /** @description Segments in order. */
                segments: components["schemas"]["StoredSegment"][];
            };
            /**
             * Format: int64
             * @description Version that was read before the change.
             */
            version: number;
        };
        /** @description A change to a record, with the version it was made from. */
        Change_ExerciseFields: {
            /** @description What a person chooses for an exercise. */
            fields: {
                /** @description How much each student cuts. */
                amount: components["schemas"]["Amount"];
                /** @description Id of the cut. */
                cut: string;
                /** @description Id of the food. */
                food: string;
                /** @description Grip of the knife hand. */
                grip: components["schemas"]["Grip"];
                /** @description Hold of the guide hand. */
                hold: components["schemas"]["Hold"];
                /** @description Blade length. */
                knife_length: components["schemas"]["Millimetres"];
                /** @description Id of the knife type. */
                knife_type: string;
                /** @description How it is made, where that is not the course's usual. */
                making?: components["schemas"]["Making"];
                /** @description Motion. */
                motion: components["schemas"]["Motion"];
                /**
                 * Format: double
                 * @description The instructor's own minutes for each student, 0.5 to 240, in place of the computed ones.
                 */
                own_minutes?: number | null;
                /** @description Third of the blade. */
                third: components["schemas"]["Third"];
            };
            /**
             * Format: int64
             * @description Version that was read before the change.
             */
            version: number;
        };
        /** @description A change to a record, with the version it was made from. */
        Change_KnifeFields: {
            /** @description What a person edits of a knife. */
            fields: {
                /** @description Bolster. */
                bolster?: components["schemas"]["Bolster"];
                /**
                 * Format: double
                 * @description What it cost, in the school's own currency, 0 to 100,000.
                 */
                cost?: number | null;
                edge_angle?: components["schemas"]["Degrees"] | null;
                /** @description What the last edge test said. */
                edge_state: components["schemas"]["EdgeState"];
                hand?: components["schemas"]["Hand"] | null;
                /** @description Material of the handle, up to 40 characters; may be empty. */
                handle?: string;
                /** @description Blade height at the heel, 8 to 120 mm. */
                heel_height: components["schemas"]["Millimetres"];
                /** @description Sides hollowed, so that slices let go. */
                hollowed?: boolean;
                /** @description Id of the knife type. */
                knife_type: string;
                /** @description Blade length, within the type's range. */
                length: components["schemas"]["Millimetres"];
                /** @description A name of its own, up to 40 characters; may be empty. */
                name?: string;
                /** @description Note, up to 200 characters, e.g. where and why it failed. */
                note: string;
                /** @description Number on the handle, 1 to 12 characters, unique on the rack. */
                number: string;
                /** @description Where it is stored, up to 60 characters; may be empty. */
                stored?: string;
                /** @description Tang. */
                tang?: components["schemas"]["Tang"];
            };
            /**
             * Format: int64
             * @description Version that was read before the change.
             */
            version: number;
        };
        /** @description A change to a record, with the version it was made from. */
        Change_LessonFields: {
            /** @description What a person edits of a lesson. */
            fields: {
                /**
                 * Format: int32
                 * @description Minutes, 10 to 600.
                 */
                minutes: number;
                /** @description Segments in order. */
                segments: components["schemas"]["StoredSegment"][];
                /**
                 * Format: civil-date-time
                 * @description Day and time by the school's clock.
                 * @example 2026-10-06T18:30:00
                 */
                starts_at: CivilTime;
                /** @description Title, 1 to 80 characters. */
                title: string;
            };
            /**
             * Format: int64
             * @description Version that was read before the change.
             */
            version: number;
        };
        /** @description A change to a record, with the version it was made from. */
        Change_ProduceFields: {
            /** @description What the instructor says about the food of a lesson. */
            fields: {
                /** @description Foods that are not eaten together at the end. */
                ends?: components["schemas"]["FoodEnd"][];
                /** @description Exercises of which each student should end with so many good pieces. */
                good?: components["schemas"]["GoodWanted"][];
                /** @description Foods for those with an allergy. */
                instead?: components["schemas"]["Instead"][];
            };
            /**
             * Format: int64
             * @description Version that was read before the change.
             */
            version: number;
        };
        /** @description A change to a record, with the version it was made from. */
        Change_RotationFields: {
            /** @description What is known of the day, beside who is in the course and what hangs on the rack. */
            fields: {
                /**
                 * @description Students who are not there.
                 * @default []
                 */
                absent: number[];
                /**
                 * @description Planned anew, whatever was announced for the rounds to come.
                 * @default false
                 */
                anew: boolean;
                /**
                 * @description Knives that are out of this lesson: broken, dull, lent.
                 * @default []
                 */
                knives_out: number[];
                /**
                 * @description Students who come late.
                 * @default []
                 */
                late: components["schemas"]["LateStudent"][];
                /**
                 * Format: int32
                 * @description Minutes of practice that were lost, 0 to 240.
                 * @default 0
                 */
                minutes_lost: number;
                /**
                 * @description Turns that are held where they are.
                 * @default []
                 */
                pins: components["schemas"]["PinnedTurn"][];
                /**
                 * Format: int32
                 * @description Rounds that are over: what was announced for them is done.
                 * @default 0
                 */
                rounds_done: number;
            };
            /**
             * Format: int64
             * @description Version that was read before the change.
             */
            version: number;
        };
        /** @description A change to a record, with the version it was made from. */
        Change_StaffFields: {
            /** @description What is said of a person who works here. */
            fields: {
                /** @description Name, by which the person signs in; 1 to 60 characters, unlike all others here. */
                name: string;
                /** @description What may be changed. */
                role: components["schemas"]["Role"];
            };
            /**
             * Format: int64
             * @description Version that was read before the change.
             */
            version: number;
        };
        /** @description A change to a record, with the version it was made from. */
        Change_StudentFields: {
            /** @description What a person edits of a student. */
            fields: {
                /** @description Allergens by name, e.g. `celery`. */
                allergies: string[];
                /** @description Longest blade that the student is cleared for, 60 to 400 mm. */
                clearance: components["schemas"]["Millimetres"];
                /** @description Working hand. */
                hand: components["schemas"]["Hand"];
                /** @description Size of the hand. */
                hand_size: components["schemas"]["HandSize"];
                /** @description Name, 1 to 60 characters. */
                name: string;
                /** @description Anything else, up to 400 characters. */
                notes: string;
                /** @description Cleared for knives with a clearance of their own, and for blades beyond what length alone clears. */
                special_clearance?: boolean;
                /**
                 * Format: int32
                 * @description Station, 1 to 60.
                 */
                station: number;
            };
            /**
             * Format: int64
             * @description Version that was read before the change.
             */
            version: number;
        };
        /** @description What was changed, the latest first. */
        ChangesView: {
            /** @description The changes. */
            changes: components["schemas"]["ToldChange"][];
            /** @description There are earlier ones. */
            more: boolean;
        };
        /** @description One line of the sheet. */
        CheckItem: {
            /** @description How, and why. */
            detail: string;
            /** @description Id, the same each time the sheet is made. */
            id: string;
            /** @description Knives that it is about, by number. */
            numbers: string[];
            /** @description Part of the sheet. */
            part: components["schemas"]["CheckPart"];
            /**
             * Format: int32
             * @description How many are missing; 0 where nothing is.
             */
            short: number;
            tick?: components["schemas"]["CheckTick"] | null;
            /** @description What to see to. */
            title: string;
        };
        /**
         * @description Part of the sheet.
         * @enum {string}
         */
        CheckPart: "knives" | "edges" | "stations" | "food" | "safety";
        /** @description The sheet of a lesson. */
        CheckSheet: {
            /** @description The limits of the advice, in words. */
            disclaimer: string;
            /** @description Lines that are ticked. */
            done: number;
            /** @description Lines in the order of the work. */
            items: components["schemas"]["CheckItem"][];
            /** @description The lesson. */
            lesson: components["schemas"]["Lesson"];
            /** @description What the class is short of, in words. */
            short: string[];
        };
        /** @description A tick on the sheet. */
        CheckTick: {
            /**
             * Format: date-time
             * @description When.
             */
            at: Moment;
            /** @description Id of the item. */
            item: string;
            /** @description Who ticked it, 1 to 60 characters. */
            who: string;
        };
        /** @description One of the answers that are offered. */
        Choice: {
            /** @description What it is sent by. */
            id: string;
            /** @description Why, or why not. */
            reason: components["schemas"]["Text"];
            /** @description Whether it is the right one. */
            right: boolean;
            silhouette?: components["schemas"]["Silhouette"] | null;
            /** @description Its words. */
            words: components["schemas"]["Text"];
        };
        /** @description A wanted size with its limits. */
        ChooseForMe: {
            /** @description What may not be exceeded. */
            limits?: components["schemas"]["Limits"];
            /** @description Onion and size. */
            wanted: components["schemas"]["WantedDice"];
        };
        /** @description Doctrines to save, with the version of the course that they were chosen from. */
        ChosenDoctrines: {
            doctrines: components["schemas"]["Doctrines"];
            /** Format: int64 */
            version: number;
        };
        /** @description How the cut will be made, in ids and in words. */
        ChosenSetup: {
            /** @description Grip. */
            grip: components["schemas"]["Grip"];
            /** @description Hold. */
            hold: components["schemas"]["Hold"];
            /** @description Blade length. */
            knife_length: components["schemas"]["Millimetres"];
            /** @description Label of the knife. */
            knife_name: string;
            /** @description Id of the knife type. */
            knife_type: string;
            /** @description Motion. */
            motion: components["schemas"]["Motion"];
            /** @description Third of the blade. */
            third: components["schemas"]["Third"];
            /** @description `pinch · claw · push cut · heel third`. */
            words: string;
        };
        /**
         * @description Where citrus is skinned and segmented.
         * @enum {string}
         */
        CitrusPeel: "board" | "hand";
        /** @description The drawings of a class. */
        ClassDrawings: {
            /** @description Outlines, each once. */
            outlines: components["schemas"]["KnivesOutline"][];
            /** @description Sections. */
            sections: components["schemas"]["ExerciseSection"][];
        };
        /** @description An exercise as Class needs it. */
        ClassExercise: {
            /** @description What to measure of each piece, in the order to type it. */
            columns: string[];
            /**
             * Format: int64
             * @description Id.
             */
            id: number;
            /**
             * Format: int32
             * @description Pieces that each student's share gives, from the geometry.
             */
            pieces_each?: number | null;
            /**
             * Format: double
             * @description Seconds of the reference pace.
             */
            reference_seconds?: number | null;
            /** @description `pinch · claw · push cut · heel third`. */
            setup: string;
            /**
             * Format: int64
             * @description Strokes that they take.
             */
            strokes_each?: number | null;
            target?: components["schemas"]["Target"] | null;
            /** @description `Julienne of carrot`. */
            title: string;
        };
        /** @description A knife that can be handed out. */
        ClassKnife: {
            /**
             * Format: int64
             * @description Id.
             */
            id: number;
            /**
             * Format: int64
             * @description Student who has it in a running attempt.
             */
            in_use_by?: number | null;
            /** @description Blade length. */
            length: components["schemas"]["Millimetres"];
            /** @description `Flat chef's 210, no. 9`. */
            name: string;
        };
        /** @description The round that starts next. */
        ClassRound: {
            /**
             * Format: int32
             * @description Its number, where a rotation was announced; none where all start at the exercise that is shown.
             */
            number?: number | null;
            /** @description Who starts. */
            starts: components["schemas"]["RoundStart"][];
            /** @description Who would, and has to wait: no knife that fits is free, or all boards and all who watch are taken. */
            waits: number[];
        };
        /** @description Everything that Class shows of a lesson. */
        ClassView: {
            /** @description The course. */
            course: components["schemas"]["Course"];
            /** @description The limits of the advice, in words. */
            disclaimer: string;
            /**
             * Format: int64
             * @description The exercise that stations and knives are shown for.
             */
            exercise_id?: number | null;
            /** @description Exercises. */
            exercises: components["schemas"]["ClassExercise"][];
            /** @description What to do when somebody is cut. */
            first_aid: string;
            /** @description What went wrong in this lesson. */
            incidents: components["schemas"]["Incident"][];
            /** @description Knives by id. */
            knives: components["schemas"]["ClassKnife"][];
            /** @description The lesson. */
            lesson: components["schemas"]["Lesson"];
            /** @description Where the stations stand; one without a place stands in the row of those that were not placed yet. */
            room: components["schemas"]["StationPlace"][];
            /** @description Who starts next with one touch. */
            round: components["schemas"]["ClassRound"];
            /** @description Stations in order. */
            stations: components["schemas"]["Station"][];
            /** @description Whom to look at now, three at most. */
            watch_now: components["schemas"]["WatchNow"][];
        };
        /** @description A length of blade that is cleared by evidence. */
        ClearanceRung: {
            /** @description Longest blade on this rung. */
            length: components["schemas"]["Millimetres"];
            notch?: components["schemas"]["NotchKind"] | null;
            /** @description The special clearance: knives with a clearance of their own, and blades beyond the rung before. */
            special?: boolean;
            /** @description In how many strands the notch must be cut. */
            strands?: number;
        };
        /** @description What a student is cleared for. */
        Cleared: {
            /** @description Longest blade. */
            length: components["schemas"]["Millimetres"];
            /** @description Knives with a clearance of their own, and blades beyond what length alone clears. */
            special: boolean;
        };
        /** @description Closing a class, or opening it again. */
        CloseClass: {
            /** @description `false` opens it again. */
            closed: boolean;
            /** @description Who. */
            who: string;
            /** @description What happened to missing knives. */
            words?: string;
        };
        /** @description How a lesson was closed. */
        Closing: {
            /**
             * Format: date-time
             * @description When.
             */
            at: Moment;
            /** @description Who closed it. */
            who: string;
            /** @description What happened to knives that were missing; empty if none was. */
            words: string;
        };
        /**
         * @description What it is about.
         * @enum {string}
         */
        ClosingAbout: "knives" | "running" | "paused" | "measuring" | "incident" | "edge" | "scraps" | "briefing" | "marks";
        /** @description One thing to look at. */
        ClosingItem: {
            /** @description What it is about. */
            about: components["schemas"]["ClosingAbout"];
            /** @description Students whom a button stops, where attempts still run. */
            running: number[];
            /** @description How it stands. */
            state: components["schemas"]["ClosingState"];
            way?: components["schemas"]["Opening"] | null;
            /** @description In one sentence. */
            words: components["schemas"]["Text"];
        };
        /**
         * @description How it stands; what is open first.
         * @enum {string}
         */
        ClosingState: "stop" | "to_do" | "done" | "note";
        /** @description Everything to look at before a class is closed. */
        ClosingView: {
            /** @description It is closed. */
            closed: boolean;
            /** @description Open things first. */
            items: components["schemas"]["ClosingItem"][];
            /**
             * Format: int64
             * @description The lesson, by id.
             */
            lesson_id: number;
            /** @description Its title. */
            title: string;
        };
        /** @description How a knife suits a hand. */
        Comfort: {
            /**
             * Format: int32
             * @description 0 to 100.
             */
            score: number;
            /** @description The same in a word. */
            sits: components["schemas"]["Sits"];
            /** @description Why, with the figures. */
            words: components["schemas"]["Text"];
        };
        /** @description How the copies of a school stand. */
        CopiesState: {
            /** @description The latest one is old, or the last try failed; not while none was made yet. */
            caution: boolean;
            /** @description In one sentence. */
            words: components["schemas"]["Text"];
        };
        /** @description The copies of the school. */
        CopiesView: {
            /** @description All of them, the newest first. */
            copies: components["schemas"]["KeptCopy"][];
            /** @description How many are kept. */
            keep: components["schemas"]["KeepCopies"];
            /** @description How they stand. */
            state: components["schemas"]["CopiesState"];
        };
        /** @description Takes a mark back after the class has gone on, and puts another in its place if one is named. */
        CorrectMark: components["schemas"]["TakeBack"] & {
            instead?: components["schemas"]["MarkKind"] | null;
        };
        /** @description A knife that is counted by touch. */
        CountedByTouch: {
            /** @description Its outline. */
            silhouette: components["schemas"]["Silhouette"];
            /** @description As it is said in a list of knives by count: `Chef's 200`. */
            words: string;
        };
        /** @description A knife in the count of a lesson. */
        CountedKnife: {
            /**
             * Format: date-time
             * @description When it came in; none while it is out.
             */
            in_at?: Moment | null;
            /**
             * Format: int64
             * @description Id of the knife.
             */
            knife_id: number;
            /** @description Label, e.g. `Chef's 200`. */
            name: string;
            /** @description Number on the handle. */
            number: string;
            /**
             * Format: date-time
             * @description When it went out.
             */
            out_at: Moment;
        };
        /** @description Knives that are counted. */
        Counting: {
            /** @description Numbers as typed: `1 2 5-9`. */
            numbers: string;
            /** @description Which way. */
            way: components["schemas"]["Direction"];
        };
        /** @description A course as it is kept. */
        Course: components["schemas"]["CourseFields"] & {
            /**
             * Format: int64
             * @description Id.
             */
            id: number;
            /**
             * Format: int64
             * @description Rises with each change.
             */
            version: number;
        };
        /** @description A technique on a food, in its session. */
        CourseBlock: components["schemas"]["DraftBlock"] & {
            /** @description Rules that it breaks. */
            broken: components["schemas"]["BrokenRule"][];
            /** @description Not there, or not pinned so, in what is kept. */
            changed: boolean;
            /** @description Name of the cut. */
            cut_name: string;
            /** @description Name of the food. */
            food_name: string;
            /** @description Index of the session in which it was learnt, for a review that comes back to one. */
            from?: number | null;
            /** @description New or review. */
            kind: components["schemas"]["BlockKind"];
            /**
             * Format: int32
             * @description Minutes that the class needs.
             */
            minutes: number;
            /** @description Why it stands where it stands. */
            reasons: components["schemas"]["Text"][];
            section?: components["schemas"]["SectionDrawing"] | null;
            strand?: components["schemas"]["Strand"] | null;
            /** @description `Coins of courgette`. */
            title: string;
        };
        /** @description What a person edits of a course. */
        CourseFields: {
            /** @description Who it is for. */
            age_band: components["schemas"]["AgeBand"];
            /** @description What the boards are made of. */
            board_material: components["schemas"]["BoardMaterial"];
            /**
             * Format: int32
             * @description Boards, 1 to 60.
             */
            boards: number;
            /** @description Nobody is handed a knife before a passed briefing. */
            briefing_first?: boolean;
            /** @description The doctrines that the course has chosen. */
            doctrines: components["schemas"]["Doctrines"];
            /**
             * Format: int32
             * @description Minutes of a lesson, 10 to 600.
             */
            lesson_minutes: number;
            /** @description Name, 1 to 80 characters. */
            name: string;
            /** @description Pace that minutes are planned with. */
            pace: components["schemas"]["Pace"];
            /** @description Where it is taught, 1 to 80 characters. */
            place: string;
            /** @description What else it has: size of the boards, sinks, containers, people who watch, money for food. */
            resources?: components["schemas"]["Resources"];
            /** @description School that gives it, 1 to 80 characters. */
            school: string;
            /** @description Id of the set of standards. */
            standard_set: string;
            /** @description Time zone of the school, by its name in the time zone database, e.g. `Europe/Lisbon`. */
            time_zone: string;
            /** @description Id of the tolerance profile. */
            tolerance: string;
        };
        /** @description A course as one file. */
        CourseFile: {
            /** @description The course. */
            course: components["schemas"]["CourseFields"];
            /** @description Always `yard-notch-course`. */
            format: string;
            /** @description Its goals. */
            goals: components["schemas"]["GoalFields"][];
            /** @description Knives that were used in it. */
            knives: components["schemas"]["FileKnife"][];
            /** @description Its lessons, by number. */
            lessons: components["schemas"]["FileLesson"][];
            /** @description Copied sets of standards, tolerances and foods that it uses. */
            own: components["schemas"]["OwnValue"][];
            /** @description Where its stations stand. */
            room?: components["schemas"]["StationPlace"][];
            /** @description Its students, those who left too. */
            students: components["schemas"]["FileStudent"][];
            /**
             * Format: int32
             * @description Version of the format: 1.
             */
            version: number;
        };
        /** @description A goal with what the plan makes of it. */
        CourseGoal: components["schemas"]["GoalFields"] & {
            /** @description What the plan expects. */
            state: components["schemas"]["GoalState"];
            strand?: components["schemas"]["Strand"] | null;
            /** @description `Even in small dice by session 6`. */
            title: string;
            /** @description What would reach it; none where it is reached, or where nobody asked. */
            ways: components["schemas"]["WayToGoal"][];
            /** @description The state in words. */
            words: components["schemas"]["Text"];
        };
        /** @description What a course of a known kind starts with. */
        CourseKind: {
            /** @description Who it is for. */
            age_band: components["schemas"]["AgeBand"];
            /**
             * Format: civil-time
             * @description When they begin, by the school's clock.
             */
            at: string;
            /** @description What they are made of. */
            board_material: components["schemas"]["BoardMaterial"];
            /**
             * Format: int32
             * @description Boards.
             */
            boards: number;
            /** @description Name of the course. */
            course: string;
            /** @description Doctrines. */
            doctrines: components["schemas"]["Doctrines"];
            /** @description Goals. */
            goals?: components["schemas"]["KindGoal"][];
            /** @description Id. */
            id: string;
            /**
             * Format: int32
             * @description Minutes of a lesson.
             */
            lesson_minutes: number;
            /** @description Name, e.g. `Eight lessons for trainees`. */
            name: string;
            /** @description Longest blade of who has no evidence yet. */
            newcomers: components["schemas"]["Millimetres"];
            /** @description Pace. */
            pace: components["schemas"]["Pace"];
            /** @description What else a course of the kind usually has. */
            resources?: components["schemas"]["Resources"];
            /**
             * Format: int32
             * @description Sessions, a week apart.
             */
            sessions: number;
            /** @description Id of the set of standards. */
            standard_set: string;
            /** @description Whom it is for, in a sentence. */
            text: string;
            /** @description Id of the tolerance profile. */
            tolerance: string;
        };
        /** @description One order over the lessons of a course. */
        CourseOrder: {
            /**
             * Format: double
             * @description What all of it costs.
             */
            cost?: number | null;
            /** @description What comes on each day. */
            deliveries: components["schemas"]["Delivery"][];
            /** @description Days of the week on which food comes; the day before each lesson where none is said. */
            delivery_days: components["schemas"]["DayOfWeek"][];
            /**
             * Format: civil-date
             * @description The first day of the lessons that it is for.
             */
            from: string;
            /**
             * Format: civil-date
             * @description The last one.
             */
            until: string;
        };
        /** @description The course on one picture. */
        CoursePlan: {
            /**
             * Format: int32
             * @description Broken rules in all.
             */
            broken: number;
            /** @description Blocks that are not as they are kept. */
            changed: number;
            /** @description Goals. */
            goals: components["schemas"]["CourseGoal"][];
            /** @description The knives are not known yet: planned on one of each type. */
            on_types: boolean;
            /**
             * Format: int64
             * @description Points of the plan: more are better.
             */
            points: number;
            /** @description Sessions by number. */
            sessions: components["schemas"]["CourseSession"][];
            /**
             * Format: int64
             * @description What is kept, as a number that changes with it.
             */
            stamp: number;
            /** @description What can be put in by hand. */
            techniques: components["schemas"]["OfferedTechnique"][];
        };
        /** @description A session of the picture. */
        CourseSession: {
            /** @description Techniques, reviews first. */
            blocks: components["schemas"]["CourseBlock"][];
            /** @description Rules that the session as a whole breaks. */
            broken: components["schemas"]["BrokenRule"][];
            /** @description Held, or begun: it stays as it is. */
            held: boolean;
            /**
             * Format: int64
             * @description Id of its lesson.
             */
            lesson_id: number;
            /**
             * Format: int32
             * @description Minutes of the lesson.
             */
            minutes: number;
            /**
             * Format: int32
             * @description Minutes that its techniques need.
             */
            needed: number;
            /**
             * Format: int32
             * @description Number, from 1.
             */
            number: number;
            /**
             * Format: int32
             * @description Minutes of it for practice.
             */
            practice: number;
            /**
             * Format: civil-date-time
             * @description Day and time by the school's clock.
             */
            starts_at: CivilTime;
            /** @description Title. */
            title: string;
        };
        /** @description A course with its lessons and students. */
        CourseView: {
            course: components["schemas"]["Course"];
            lessons: components["schemas"]["LessonPlace"][];
            students: components["schemas"]["Student"][];
            /** Format: date */
            today: Day;
        };
        /** @description A cut of the catalogue. */
        Cut: {
            /** @description Family. */
            family: components["schemas"]["CutFamily"];
            /** @description What the pieces are. */
            form: components["schemas"]["CutForm"];
            /** @description How it is done, in a sentence or two. */
            how: string;
            /** @description Id, e.g. `fine_julienne`. */
            id: string;
            /** @description What it leaves, in a few words. */
            leaves: string;
            /** @description Name in a sentence. */
            name: string;
            on_flesh?: components["schemas"]["OnFlesh"] | null;
            /**
             * Format: int32
             * @description Order within the strand, 1 first.
             */
            rung?: number;
            strand?: components["schemas"]["Strand"] | null;
            /** @description As a cut of a food is said, with `{food}` in its place; `julienne of carrot` where nothing is said. */
            titled?: string | null;
            /** @description The same of foods that have something, where that is other work again; the first that fits is told. */
            told_with?: components["schemas"]["ToldWith"][];
        };
        /** @description Errors along the chain. */
        CutErrors: {
            /**
             * Format: double
             * @description The first plank of each block too thick (or, below 0, too thin) by so many millimetres more than
             *     the others; −20 to 20.
             * @default 0
             */
            first_plank_bias: number;
            /**
             * Format: double
             * @description Lean of the blade in degrees, 0 to 45: each face runs off over the height of the cut.
             * @default 0
             */
            lean_degrees: number;
            /**
             * Format: double
             * @description Crosscuts too long by so many millimetres; −20 to 20.
             * @default 0
             */
            length_bias: number;
            /**
             * Format: double
             * @description All planks too thick (or, below 0, too thin) by so many millimetres; −20 to 20.
             * @default 0
             */
            plank_bias: number;
            /**
             * Format: double
             * @description Unevenness of each step (coefficient of variation), 0 to 1.
             * @default 0
             */
            step_cv: number;
            /**
             * Format: double
             * @description Sticks too wide by so many millimetres; −20 to 20.
             * @default 0
             */
            stick_bias: number;
        };
        /**
         * @description Family of a cut: the chain of work that makes it.
         * @enum {string}
         */
        CutFamily: "strips" | "dice" | "slices" | "chop" | "hand" | "open" | "break";
        /**
         * @description What the pieces of a cut are: it decides how they are counted, and which foods take the cut.
         * @enum {string}
         */
        CutForm: "stick" | "cube" | "tile" | "plank" | "coin" | "half_moon" | "bias_coin" | "wedge" | "ribbon" | "chopped" | "minced" | "paste" | "peeled" | "cored" | "segmented" | "turned" | "ring" | "slice" | "roll_cut" | "peelings" | "crushed" | "hulled" | "zest" | "trimmed" | "halved" | "quartered" | "cheeks" | "stoned" | "split" | "skinned_down" | "cored_on_board" | "florets" | "scored" | "jointed" | "boned" | "filleted" | "skin_off" | "butterflied" | "portioned";
        /** @description A cut of a food. */
        CutOfFood: {
            /** @description Id of the cut. */
            cut: string;
            /** @description Id of the food. */
            food: string;
        };
        /**
         * @description A day of the week.
         * @enum {string}
         */
        DayOfWeek: "monday" | "tuesday" | "wednesday" | "thursday" | "friday" | "saturday" | "sunday";
        /** @description Degrees per side. */
        Degrees: number;
        /** @description What comes on one day. */
        Delivery: {
            cost?: components["schemas"]["OrderCost"] | null;
            /** @description The lessons that it is for. */
            lessons: components["schemas"]["OrderedLesson"][];
            /** @description What comes, those of one food together. */
            lines: components["schemas"]["OrderLine"][];
            /**
             * Format: civil-date
             * @description The day.
             */
            on: string;
        };
        /** @description A demonstration as kept, with what it was measured against on that day. */
        Demonstration: components["schemas"]["DemonstrationFields"] & {
            /** @description What the pieces were measured against. */
            against: components["schemas"]["MeasuredAgainst"];
            /**
             * Format: int64
             * @description Id.
             */
            id: number;
            /**
             * Format: int64
             * @description Lesson.
             */
            lesson_id: number;
            /**
             * Format: date-time
             * @description When it was written down.
             */
            shown_at: Moment;
            taken_back?: components["schemas"]["TakenBack"] | null;
        };
        /** @description What is written down of a demonstration. */
        DemonstrationFields: {
            /** @description Id of the cut: one that is taught on it. */
            cut: string;
            /** @description The dulled practice knife. */
            dulled: components["schemas"]["KnifeWork"];
            /** @description Id of the food: a soft one. */
            food: string;
            /** @description The sharp knife. */
            sharp: components["schemas"]["KnifeWork"];
            /** @description The instructor who held both knives, 1 to 60 characters. */
            who: string;
        };
        /** @description A signed difference of lengths in millimetres. */
        Deviation: number;
        /** @description One thing the figures say. */
        Diagnosis: {
            /** @description The cue, for the student. */
            cue: string;
            /** @description Id of the diagnosis, e.g. `too_thick`. */
            id: string;
            /** @description What is going wrong, for the instructor, with the figures. */
            words: components["schemas"]["Text"];
        };
        /** @description A field in which a school's own value differs from the shipped one. */
        Difference: {
            /** @description Where, e.g. `cuts · julienne · thickness · size`. */
            field: string;
            /** @description The school's own; empty where there is none. */
            own: string;
            /** @description The shipped value; empty where there was none. */
            shipped: string;
        };
        /**
         * @description A measured side of a piece.
         * @enum {string}
         */
        Dimension: "thickness" | "width" | "length";
        /**
         * @description Which way knives are counted.
         * @enum {string}
         */
        Direction: "out" | "in" | "not_out";
        /**
         * @description Whether a knife may go into the dishwasher.
         * @enum {string}
         */
        Dishwasher: "never" | "by_maker";
        /** @description One answer to a question. */
        Doctrine: {
            /** @description Id. */
            id: string;
            /** @description Name. */
            name: string;
        };
        /** @description What another choice of doctrines changes. */
        DoctrineChanges: {
            /** @description What changes in the care of knives and in the kit, in words. */
            beside: string[];
            /** @description Suggestions that change. */
            changed: number;
            /** @description Some of the changes, those of this course's exercises first. */
            examples: components["schemas"]["SuggestionChange"][];
            /** @description Suggestions that were compared: each cut that is taught, of each food that is cut so. */
            of: number;
        };
        /** @description A question on which practitioners disagree, and the doctrines a course can choose. */
        DoctrineQuestion: {
            /** @description The question. */
            ask: string;
            /** @description Field of the course that answers it, where the answer is a set of standards or a tolerance. */
            decided_by?: string | null;
            /** @description Doctrines; the first is our default. */
            doctrines?: components["schemas"]["Doctrine"][];
            /** @description Id. */
            id: string;
            /** @description Doctrines that a course cannot choose, with the reason. */
            refused?: components["schemas"]["RefusedDoctrine"][];
            /** @description What a change of doctrine changes. */
            touches: components["schemas"]["Touches"];
            /** @description Our default, and why. */
            why: string;
        };
        /** @description The doctrines that a course has chosen; each is our default unless chosen otherwise. */
        Doctrines: {
            /** @description How an avocado's stone comes out. */
            avocado_stone?: components["schemas"]["AvocadoStone"];
            /** @description Which blade a beginner starts with. */
            beginner_blade?: components["schemas"]["BeginnerBlade"];
            /** @description Where citrus is skinned and segmented. */
            citrus_peel?: components["schemas"]["CitrusPeel"];
            /** @description Whether a knife may go into the dishwasher. */
            dishwasher?: components["schemas"]["Dishwasher"];
            /** @description Whether cutting through the gap of two fingers is taught to children. */
            finger_gap?: components["schemas"]["FingerGap"];
            /** @description What slices raw fish. */
            fish_slices?: components["schemas"]["FishSlices"];
            /** @description How garlic is taken apart. */
            garlic?: components["schemas"]["GarlicDoctrine"];
            /** @description Which grip is taught. */
            grip?: components["schemas"]["GripDoctrine"];
            /** @description How round food is held to be halved. */
            halving_hold?: components["schemas"]["HalvingHold"];
            /** @description The angle a knife is honed at. */
            honing_angle?: components["schemas"]["HoningAngle"];
            /** @description Whether the index finger may lie on the spine. */
            index_on_spine?: components["schemas"]["IndexOnSpine"];
            /** @description Which knife joints a bird. */
            jointing?: components["schemas"]["Jointing"];
            /** @description How many knives are enough. */
            kit_size?: components["schemas"]["KitSize"];
            /** @description How an onion is diced. */
            onion_dice?: components["schemas"]["OnionDice"];
            /** @description What peels. */
            peel_tool?: components["schemas"]["PeelTool"];
            /** @description Whether a pull-through sharpener may be used. */
            pull_through?: components["schemas"]["PullThrough"];
            /** @description What teeth are for. */
            serrated?: components["schemas"]["SerratedUse"];
            /** @description Whether edges are kept with steel, stone or both. */
            steel_or_stone?: components["schemas"]["SteelOrStone"];
            /** @description Whether the tip stays on the board. */
            tip?: components["schemas"]["TipOnBoard"];
            /** @description What cuts a tomato. */
            tomato_edge?: components["schemas"]["TomatoEdge"];
            /** @description Whether a cut may go towards oneself. */
            towards_self?: components["schemas"]["TowardsSelf"];
        };
        /** @description A kind of course, with the knives that such classes have. */
        Door: components["schemas"]["CourseKind"] & {
            /** @description Knives to count by touch: those that a newcomer of it may hold, the commonest first. */
            knives: components["schemas"]["CountedByTouch"][];
        };
        /** @description What a new school can start with. */
        Doors: {
            /**
             * Format: civil-time
             * @description When it begins.
             */
            at: string;
            /**
             * Format: date
             * @description The next day and half hour at which a lesson can begin.
             */
            first: Day;
            /** @description Courses of a known kind. */
            kinds: components["schemas"]["Door"][];
            /** @description The school's name, where a course has one already. */
            school?: string | null;
        };
        /** @description A technique on a food in a session. */
        DraftBlock: {
            amount?: components["schemas"]["Amount"] | null;
            /** @description Id of the cut. */
            cut: string;
            /** @description Id of the food. */
            food: string;
            /**
             * Format: double
             * @description The instructor's own minutes for each student.
             */
            own_minutes?: number | null;
            /** @description Stays where it is when the course is drafted again. */
            pinned: boolean;
            /** @description Index of the session. */
            session: number;
        };
        /** @description Segments as they stand on the screen, with what else makes the lesson fit. */
        DraftSegments: {
            /** @description Exercises of which each student cuts another amount. */
            fewer?: components["schemas"]["FewerOf"][];
            /** @description Exercises that are left out, by id. */
            leave_out?: number[];
            /**
             * Format: int32
             * @description Minutes of the lesson.
             */
            minutes: number;
            /** @description Segments in order. */
            segments: components["schemas"]["StoredSegment"][];
        };
        /** @description Something that is drawn. */
        Drawn: {
            /** @description The face. */
            face: components["schemas"]["PaperFace"];
            /** @description How dark. */
            ink: components["schemas"]["PaperInk"];
            /** @enum {string} */
            kind: "words";
            /**
             * Format: double
             * @description Height of the type, mm.
             */
            size: number;
            /** @description The words. */
            text: string;
            /**
             * Format: double
             * @description Where it begins, mm from the left.
             */
            x: number;
            /**
             * Format: double
             * @description Its baseline, mm from the top.
             */
            y: number;
        } | {
            fill?: components["schemas"]["PaperInk"] | null;
            /**
             * Format: double
             * @description Height, mm.
             */
            height: number;
            /** @enum {string} */
            kind: "box";
            /**
             * Format: double
             * @description Width of its line, mm; none without one. The line lies inside the rectangle.
             */
            line?: number | null;
            /**
             * Format: double
             * @description Width, mm.
             */
            width: number;
            /**
             * Format: double
             * @description Left side, mm.
             */
            x: number;
            /**
             * Format: double
             * @description Upper side, mm.
             */
            y: number;
        } | {
            /** @enum {string} */
            kind: "line";
            /**
             * Format: double
             * @description Width, mm.
             */
            width: number;
            /**
             * Format: double
             * @description From, mm from the left.
             */
            x1: number;
            /**
             * Format: double
             * @description To, mm from the left.
             */
            x2: number;
            /**
             * Format: double
             * @description From, mm from the top.
             */
            y1: number;
            /**
             * Format: double
             * @description To, mm from the top.
             */
            y2: number;
        } | {
            /** @description The path. */
            d: string;
            fill?: components["schemas"]["PaperInk"] | null;
            /** @enum {string} */
            kind: "outline";
            /**
             * Format: double
             * @description Width of its line, mm of paper; none without one.
             */
            line?: number | null;
            /**
             * Format: double
             * @description Millimetres of paper for one of the path's units.
             */
            scale: number;
            /**
             * Format: double
             * @description Where its origin lies, mm from the left.
             */
            x: number;
            /**
             * Format: double
             * @description Where its origin lies, mm from the top.
             */
            y: number;
        };
        /** @description A value to drop, so that the shipped one stands again. */
        DropOwn: {
            /** @description Id within its kind. */
            id: string;
            kind: components["schemas"]["OwnKind"];
            /**
             * Format: int64
             * @description Version that was read.
             */
            version: number;
        };
        /** @description Something that is due for a knife, with the reason. */
        Due: {
            /** @description In a few words, e.g. `stone this week`. */
            title: string;
            /** @description What. */
            what: components["schemas"]["DueKind"];
            /** @description Why, with the figures. */
            why: string;
        };
        /**
         * @description What is to be done.
         * @enum {string}
         */
        DueKind: "failed" | "stone_now" | "stone_this_week" | "send_out" | "away" | "hone_today" | "test_today";
        /** @description A knife in the list of what is due. */
        DueKnife: {
            /**
             * Format: int64
             * @description Id.
             */
            id: number;
            /** @description Number on the handle. */
            number: string;
        };
        /** @description A line of what is due: for one knife, or for all of a kind before a class. */
        DueLine: components["schemas"]["Due"] & {
            /** @description Knives, by number. */
            knives: components["schemas"]["DueKnife"][];
            /** @description Label of the knives. */
            label: string;
        };
        /**
         * @description How the edge is ground.
         * @enum {string}
         */
        Edge: "straight" | "serrated" | "single_bevel";
        /**
         * @description What the last edge test said.
         * @enum {string}
         */
        EdgeState: "sharp" | "dull";
        /** @description What a rule says. */
        Effect: {
            /** @enum {string} */
            kind: "for";
            /**
             * Format: int32
             * @description Speaks for it, by points.
             */
            points: number;
        } | {
            /** @enum {string} */
            kind: "against";
            /**
             * Format: int32
             * @description Speaks against it, by points; it may be taken, and the warning stays.
             */
            points: number;
        } | {
            /** @enum {string} */
            kind: "refuse";
        };
        /**
         * @description What becomes of a food at the end of a lesson.
         * @enum {string}
         */
        EndUse: "eaten" | "taken_home" | "kitchen";
        /** @description A deed in a line. */
        EventLine: components["schemas"]["CareEvent"] & {
            /** @description The deed in words. */
            deed_words: string;
        };
        /** @description An exercise as kept. */
        Exercise: components["schemas"]["ExerciseFields"] & {
            /** @description Taken out of the lesson; kept for the attempts that were made. */
            archived: boolean;
            /**
             * Format: int64
             * @description Id.
             */
            id: number;
            /** @description Warnings taken over when it was saved. */
            kept_warnings: components["schemas"]["KeptWarning"][];
            /**
             * Format: int64
             * @description Lesson.
             */
            lesson_id: number;
            /** @description Stays where it is when the course is drafted again. */
            pinned: boolean;
            /**
             * Format: int64
             * @description Rises with each change.
             */
            version: number;
        };
        /** @description What a person chooses for an exercise. */
        ExerciseFields: {
            /** @description How much each student cuts. */
            amount: components["schemas"]["Amount"];
            /** @description Id of the cut. */
            cut: string;
            /** @description Id of the food. */
            food: string;
            /** @description Grip of the knife hand. */
            grip: components["schemas"]["Grip"];
            /** @description Hold of the guide hand. */
            hold: components["schemas"]["Hold"];
            /** @description Blade length. */
            knife_length: components["schemas"]["Millimetres"];
            /** @description Id of the knife type. */
            knife_type: string;
            /** @description How it is made, where that is not the course's usual. */
            making?: components["schemas"]["Making"];
            /** @description Motion. */
            motion: components["schemas"]["Motion"];
            /**
             * Format: double
             * @description The instructor's own minutes for each student, 0.5 to 240, in place of the computed ones.
             */
            own_minutes?: number | null;
            /** @description Third of the blade. */
            third: components["schemas"]["Third"];
        };
        /** @description The figures of an exercise. */
        ExerciseFigures: {
            /** @description Blocks that one unit is cut from, the largest first. */
            blocks: components["schemas"]["Block"][];
            /**
             * Format: double
             * @description Grams to buy.
             */
            grams_total: number;
            /**
             * Format: double
             * @description Minutes for each student at the class's pace; the instructor's own where strokes are not counted.
             */
            minutes_each?: number | null;
            /**
             * Format: int32
             * @description Minutes that the practice needs, changes of knives included, rounded up.
             */
            minutes_needed?: number | null;
            /** @description Why pieces are not counted, where they are not. */
            no_count?: string | null;
            /**
             * Format: int32
             * @description Pieces that each student ends with.
             */
            pieces_each?: number | null;
            /**
             * Format: int32
             * @description Pieces that one unit gives; none where pieces are not counted.
             */
            pieces_per_unit?: number | null;
            /**
             * Format: int32
             * @description Rounds, where boards, knives or people who watch are too few for all at once; 0 if there is no knife at all.
             */
            rounds: number;
            /**
             * Format: int64
             * @description Strokes for each student.
             */
            strokes_each?: number | null;
            /**
             * Format: int32
             * @description Students who share a unit; 1 where each has units of their own.
             */
            students_per_unit: number;
            /** @description One unit of the food as it is bought, e.g. `loaf of bread`. */
            unit: string;
            /**
             * Format: int32
             * @description Units for the demonstration.
             */
            units_demonstration: number;
            /**
             * Format: double
             * @description Units for each student; a part of one where units are shared.
             */
            units_each: number;
            /**
             * Format: int32
             * @description Spare units.
             */
            units_spare: number;
            /**
             * Format: int32
             * @description Units for students.
             */
            units_students: number;
            /**
             * Format: int32
             * @description Units to buy.
             */
            units_total: number;
            waste?: components["schemas"]["WasteFigures"] | null;
        };
        /** @description What an exercise takes. */
        ExerciseNeed: {
            /**
             * Format: int32
             * @description Students who cut it.
             */
            count: number;
            /**
             * Format: int64
             * @description The exercise, by id.
             */
            exercise_id: number;
            /**
             * Format: int64
             * @description The exercise that it is fed by, by id.
             */
            fed_by?: number | null;
            /** @description Id of the food. */
            food: string;
            /**
             * Format: int32
             * @description Good pieces that are wanted of each.
             */
            good_wanted?: number | null;
            /**
             * Format: double
             * @description Grams that the students cut, as bought.
             */
            grams_students: number;
            /**
             * Format: int32
             * @description Minutes that these take each beyond what the lesson plans for the exercise; none where it is not more, or where
             *     the instructor set the minutes.
             */
            minutes_more?: number | null;
            /**
             * Format: int32
             * @description Pieces that each student cuts as planned; none where they are not counted.
             */
            pieces_each?: number | null;
            /** @description Each student who cuts it; empty where pieces are not counted. */
            students: components["schemas"]["StudentNeed"][];
            /** @description `Julienne of carrot`. */
            title: string;
            /**
             * Format: int32
             * @description Pieces that a student who cuts as the class does must cut for them.
             */
            to_cut?: number | null;
            /**
             * Format: int32
             * @description Units to show.
             */
            units_demonstration: number;
            /**
             * Format: int32
             * @description Units that are saved by what an earlier exercise leaves.
             */
            units_fed: number;
            /**
             * Format: int32
             * @description Units for them.
             */
            units_students: number;
            /** @description How it comes to that, in words. */
            words: components["schemas"]["Text"][];
        };
        /** @description The section of an exercise's cut. */
        ExerciseSection: {
            /**
             * Format: int64
             * @description Id of the exercise.
             */
            exercise_id: number;
            section?: components["schemas"]["SectionDrawing"] | null;
            /** @description Colour of the food. */
            tint: components["schemas"]["Tint"];
        };
        /** @description A figure with its unit. */
        FactValue: {
            /** @enum {string} */
            kind: "length";
            /** @description The length. */
            length: components["schemas"]["Millimetres"];
        } | {
            /**
             * Format: int32
             * @description How many.
             */
            count: number;
            /** @enum {string} */
            kind: "count";
        } | {
            /** @enum {string} */
            kind: "share";
            /**
             * Format: double
             * @description The share.
             */
            share: number;
        } | {
            /**
             * Format: double
             * @description Grams.
             */
            grams: number;
            /** @enum {string} */
            kind: "grams";
        } | {
            /**
             * Format: double
             * @description Degrees.
             */
            degrees: number;
            /** @enum {string} */
            kind: "degrees";
        };
        /** @description A fault that an instructor ticks. */
        Fault: {
            /** @description What to say to the student. */
            cue: string;
            /** @description Id, e.g. `loose_grip`. */
            id: string;
            /** @description What was seen, in a sentence. */
            name: string;
            /** @description Tells of an edge that is no longer sharp. */
            of_the_edge?: boolean;
            /** @description Said on a station card whose cut has few cautions of its own. */
            on_card?: boolean;
            picture?: components["schemas"]["FaultPicture"] | null;
            /** @description How bad. */
            severity: components["schemas"]["FaultSeverity"];
            /** @description What is on the button. */
            short: string;
        };
        /**
         * @description The drawing of a fault.
         * @enum {string}
         */
        FaultPicture: "finger_ahead" | "edge_to_hand" | "hand_under_falling" | "blade_up" | "knife_in_sink" | "blade_first" | "finger_on_edge" | "board_moving" | "round_rolling" | "tall_tapped" | "on_pile" | "fingers_under_level" | "edge_pushes" | "last_stub";
        /**
         * @description How bad a fault is.
         * @enum {string}
         */
        FaultSeverity: "polish" | "hold" | "stop";
        /** @description An exercise of which each student cuts another amount. */
        FewerOf: {
            /** @description What each student cuts then. */
            amount: components["schemas"]["Amount"];
            /**
             * Format: int64
             * @description The exercise, by id.
             */
            exercise_id: number;
        };
        /** @description What a set of pieces comes to. */
        Figures: {
            /** @description Pieces that count. */
            count: number;
            /**
             * Format: double
             * @description Share of the pieces under a quarter of the mean.
             */
            count_crumbs: number;
            /**
             * Format: double
             * @description Share of the pieces within ±25 % of the mean.
             */
            count_even: number;
            /**
             * Format: double
             * @description Coefficient of variation (population).
             */
            cv: number;
            /**
             * Format: double
             * @description Largest.
             */
            max: number;
            /**
             * Format: double
             * @description Mean size: mm², or mm³ in a ball.
             */
            mean: number;
            /**
             * Format: double
             * @description Smallest.
             */
            min: number;
            /**
             * Format: double
             * @description Share of the whole in pieces under a quarter of the mean: crumbs.
             */
            share_crumbs: number;
            /**
             * Format: double
             * @description Share of the whole in pieces within ±25 % of the mean.
             */
            share_even: number;
        };
        /** @description An attempt. */
        FileAttempt: {
            /** @description Id of the cut. */
            cut: string;
            /** @description Place of the exercise in the lesson's `exercises`. */
            exercise: number;
            /** @description Place of the knife in `knives`. */
            knife: number;
            /** @description Marks in the order of time, those that were taken back too. The places of `instead_of` are not kept. */
            made?: components["schemas"]["Mark"][];
            /** @description What the marks come to; read where `made` holds none, as in files of earlier programs. */
            marks?: components["schemas"]["AttemptMarks"];
            /**
             * Format: date
             * @description Day by the school's clock.
             */
            on_day: Day;
            /**
             * Format: double
             * @description Seconds of the reference pace for the set amount.
             */
            reference_seconds?: number | null;
            /** @description Samples in the order entered, those that were taken back too. */
            samples: components["schemas"]["FileSample"][];
            /** @description Id of the set of standards on that day. */
            standard_set: string;
            /**
             * Format: date-time
             * @description Moment of the start.
             */
            started_at: Moment;
            /**
             * Format: date-time
             * @description Moment of the stop.
             */
            stopped_at: Moment;
            strand?: components["schemas"]["Strand"] | null;
            /** @description Place of the student in `students`. */
            student: number;
            /** @description Target sizes on that day. */
            target: components["schemas"]["Target"];
            /** @description Tolerance on that day. */
            tolerance: components["schemas"]["Tolerance"];
        };
        /** @description What a file holds, told before it is taken. */
        FileContents: {
            /** @description What it holds, and what becomes of it here. */
            lines: components["schemas"]["Text"][];
            /** @description Name of the course. */
            name: string;
            /** @description School that wrote it. */
            school: string;
        };
        /** @description What was shown with a sharp and a dulled knife. */
        FileDemonstration: components["schemas"]["DemonstrationFields"] & {
            /** @description What the pieces were measured against. */
            against: components["schemas"]["MeasuredAgainst"];
            /**
             * Format: date-time
             * @description When it was written down.
             */
            shown_at: Moment;
            taken_back?: components["schemas"]["TakenBack"] | null;
        };
        /** @description An exercise. */
        FileExercise: components["schemas"]["ExerciseFields"] & {
            /** @description Taken out of the lesson; kept for the attempts that were made. */
            archived: boolean;
            /** @description Warnings that the instructor kept. */
            kept_warnings: components["schemas"]["KeptWarning"][];
            /** @description Stays where it is when the course is drafted again. */
            pinned: boolean;
        };
        /** @description A nick or a near-miss. */
        FileIncident: {
            /** @description Who gave it, up to 60 characters. */
            aid_by?: string;
            /** @description First aid that was given, up to 200 characters. */
            first_aid?: string;
            /**
             * Format: date-time
             * @description When it was written down.
             */
            happened_at: Moment;
            /** @description Kind. */
            kind: components["schemas"]["IncidentKind"];
            /** @description Where in the room, up to 80 characters. */
            place?: string;
            /** @description Place of the student in `students`, if one was part of it. */
            student?: number | null;
            taken_back?: components["schemas"]["TakenBack"] | null;
            /** @description What happened, 1 to 400 characters. */
            words: string;
        };
        /** @description A knife that was used. */
        FileKnife: components["schemas"]["KnifeFields"] & {
            /** @description No longer on the rack of the school that wrote the file. */
            archived: boolean;
        };
        /** @description A knife that went out for a lesson. */
        FileKnifeOut: {
            /**
             * Format: date-time
             * @description When it came in.
             */
            in_at?: Moment | null;
            /** @description Place of the knife in `knives`. */
            knife: number;
            /**
             * Format: date-time
             * @description When it went out.
             */
            out_at: Moment;
        };
        /** @description A lesson with all that was planned for it and happened in it. */
        FileLesson: {
            /** @description Attempts in the order of time. */
            attempts: components["schemas"]["FileAttempt"][];
            /** @description Briefings; each student is a place in `students`. */
            briefings?: components["schemas"]["Briefing"][];
            closed?: components["schemas"]["Closing"] | null;
            /** @description What was shown with a sharp and a dulled knife. */
            demonstrations: components["schemas"]["FileDemonstration"][];
            /** @description Exercises, those taken out too. */
            exercises: components["schemas"]["FileExercise"][];
            /** @description Nicks and near-misses. */
            incidents: components["schemas"]["FileIncident"][];
            /** @description Knives that went out. */
            knives_out: components["schemas"]["FileKnifeOut"][];
            /**
             * Format: int32
             * @description Minutes, 10 to 600.
             */
            minutes: number;
            /**
             * Format: int32
             * @description Number in the course, from 1.
             */
            number: number;
            /** @description What is said about its food; each exercise is a place in `exercises`. */
            produce?: components["schemas"]["ProduceFields"];
            rotation?: components["schemas"]["KeptRotation"] | null;
            /** @description What was done with its clock, in the order of time. */
            run?: components["schemas"]["FileRunStep"][];
            /** @description Segments in order. */
            segments: components["schemas"]["FileSegment"][];
            /**
             * Format: civil-date-time
             * @description Day and time by the school's clock.
             */
            starts_at: CivilTime;
            /** @description Ticks of the check sheet; a line about an exercise has its place in `exercises`. */
            ticks: components["schemas"]["CheckTick"][];
            /** @description Title. */
            title: string;
        };
        /** @description What was done with the clock of a lesson. */
        FileRunStep: {
            /**
             * Format: date-time
             * @description When.
             */
            at: Moment;
            /** @description What; a part is its place in `segments`. */
            step: components["schemas"]["RunStep"];
        };
        /** @description A judged sample with its pieces. */
        FileSample: {
            /** @description How it was chosen. */
            custom: components["schemas"]["SampleCustom"];
            /** @description Its pieces as they were measured. */
            pieces: components["schemas"]["MeasuredPiece"][];
            /**
             * Format: date-time
             * @description When it was entered.
             */
            taken_at: Moment;
            taken_back?: components["schemas"]["TakenBack"] | null;
            /** @description What it showed, by the figures of that day. */
            verdict: components["schemas"]["Verdict"];
        };
        /** @description A stretch of a lesson. */
        FileSegment: {
            /** @description Place of the exercise that is practised in it. */
            exercise?: number | null;
            /** @description Keeps its minutes when the lesson runs over. */
            fixed?: boolean;
            /** @description What it is for. */
            kind: components["schemas"]["SegmentKind"];
            /**
             * Format: int32
             * @description Minutes, 1 to 600.
             */
            minutes: number;
            /** @description What the instructor calls it in place of its kind, 1 to 40 characters. */
            own_name?: string | null;
        };
        /** @description A student. */
        FileStudent: components["schemas"]["StudentFields"] & {
            /** @description Left the course. */
            archived: boolean;
        };
        /** @description What one rule found in one case. */
        Finding: {
            /** @description For, against, or refuse. */
            effect: components["schemas"]["Effect"];
            /** @description Id of the rule, e.g. `edge.teeth_on_firm`. */
            rule: string;
            /** @description The reason in plain words, with the figures compared. */
            words: components["schemas"]["Text"];
        };
        /**
         * @description Whether cutting through the gap of two fingers is taught to children.
         * @enum {string}
         */
        FingerGap: "bridge" | "claw_only";
        /** @description What was started. */
        FirstLesson: {
            /**
             * Format: int64
             * @description Id of the course.
             */
            course_id: number;
            /**
             * Format: int64
             * @description Id of its first lesson.
             */
            lesson_id: number;
        };
        /** @description The first who signs in here. */
        FirstSignIn: {
            /** @description Name of the instructor. */
            name: string;
            /** @description Passphrase, 10 to 200 characters. */
            passphrase: string;
        };
        /**
         * @description What slices raw fish.
         * @enum {string}
         */
        FishSlices: "single_bevel" | "slicer";
        /** @description How well something suits, with every reason. */
        Fit: {
            /** @description Reasons: refusals first, then against, then for; the weightiest first. */
            findings: components["schemas"]["Finding"][];
            /** @description May not be taken. */
            refused: boolean;
            /**
             * Format: int32
             * @description 0 to 100; 0 if refused.
             */
            score: number;
        };
        /** @description How much a sample that the student chose flatters. */
        Flattery: {
            /**
             * Format: double
             * @description The share of the chosen ones that is inside then, 0..1.
             */
            looks: number;
            /**
             * Format: double
             * @description How many times nearer to the size the chosen ones are than the pile.
             */
            nearer: number;
            /**
             * Format: int32
             * @description Pieces that it is taken to be chosen from.
             */
            of: number;
            /**
             * Format: double
             * @description A share of the pile that is inside, 0..1.
             */
            pile: number;
            /** @description The same in a sentence. */
            words: string;
        };
        /**
         * @description What a place of the flow is.
         * @enum {string}
         */
        FlowKind: "bought" | "cut" | "shown" | "spare" | "trimmings" | "end";
        /** @description Grams that go from one place to another. */
        FlowLink: {
            /** @description Index of the place that it comes from. */
            from: number;
            /**
             * Format: double
             * @description Grams.
             */
            grams: number;
            /** @description What it is, e.g. `peel`. */
            label: string;
            /** @description Index of the place that it goes to. */
            to: number;
        };
        /** @description A place of the flow. */
        FlowNode: {
            /**
             * Format: int32
             * @description Column from the left, 0 for what is bought.
             */
            column: number;
            /**
             * Format: double
             * @description Grams that go through it.
             */
            grams: number;
            /** @description What it is. */
            kind: components["schemas"]["FlowKind"];
            /** @description In words. */
            label: string;
        };
        /** @description A food of the catalogue. */
        Food: {
            /** @description Allergens of the statutory list. */
            allergens?: string[];
            /** @description Bought by weight: a unit is a portion that is weighed out. */
            by_weight?: boolean;
            /**
             * Format: double
             * @description g/cm³: mass as bought over the shape's volume.
             */
            density: number;
            /**
             * Format: double
             * @description Share of the mass as bought that is eaten, 0..1.
             */
            edible: number;
            /**
             * Format: int32
             * @description 1 soft to 5 hard.
             */
            firmness: number;
            /** @description Shelf of the pantry. */
            group: components["schemas"]["FoodGroup"];
            /** @description Id, e.g. `sweet_potato`. */
            id: string;
            /** @description Hand work that its size allows. */
            in_hand?: string[];
            /** @description As commonly sold large. */
            large: components["schemas"]["Bought"];
            /** @description Its name in a sentence. */
            name: string;
            /** @description What it is made of. */
            nature: components["schemas"]["Nature"];
            /** @description A line for the instructor. */
            notes?: string;
            /** @description Cuts that are possible, and never proposed. */
            odd?: string[];
            /** @description How it lies on the board once it is opened. */
            opened: components["schemas"]["Opened"];
            /** @description Taken off each side by peeling. */
            peel?: components["schemas"]["Millimetres"];
            /** @description Whether it is peeled. */
            peeled?: components["schemas"]["Peeled"];
            /** @description What one usual unit gives of a cut, from least to most, where no geometry says it. */
            pieces?: {
                [key: string]: number[];
            };
            /** @description Several of those. */
            plural: string;
            /**
             * Format: double
             * @description What a kilogram costs, in the school's own money, where the school has said it.
             */
            price?: number | null;
            /** @description What the trimmings become. */
            scraps: string;
            /** @description Shape and size at hand; the usual one in the catalogue. */
            shape: components["schemas"]["Shape"];
            /** @description Outside. */
            skin?: components["schemas"]["Skin"];
            slice?: components["schemas"]["Millimetres"] | null;
            /** @description As commonly sold small. */
            small: components["schemas"]["Bought"];
            sold?: components["schemas"]["Sold"] | null;
            /**
             * Format: int32
             * @description Students who share one unit.
             */
            students_per_unit?: number;
            /** @description Cuts that are taught on it, in the order of the work. */
            taught: string[];
            /** @description The colour that it is drawn in. */
            tint?: components["schemas"]["Tint"];
            /** @description What it does, or has. */
            traits?: components["schemas"]["FoodTrait"][];
            /** @description Cut off each end before the work. */
            trim?: components["schemas"]["Millimetres"];
            /** @description One of it as it is bought. */
            unit: string;
            /**
             * Format: int32
             * @description Units that a student usually works.
             */
            units_each?: number;
        };
        /** @description A food laid against a blade. */
        FoodAgainstBlade: {
            /** @description Height above the board. */
            height: components["schemas"]["Millimetres"];
            /**
             * Format: double
             * @description Blade that is left beyond it under a pinch; below 0 it is too short.
             */
            left: number;
            /** @description Long enough, with the travel that a stroke needs. */
            long_enough: boolean;
            /** @description Width of the food as the blade crosses it. */
            width: components["schemas"]["Millimetres"];
            /** @description The same in words. */
            words: components["schemas"]["Text"];
        };
        /** @description What becomes of one food. */
        FoodEnd: {
            /** @description What becomes of it. */
            end: components["schemas"]["EndUse"];
            /** @description Id of the food. */
            food: string;
        };
        /** @description The flow of one food. */
        FoodFlow: {
            /** @description What becomes of it at the end. */
            end: components["schemas"]["EndUse"];
            /** @description Id of the food. */
            food: string;
            /** @description What goes between them. */
            links: components["schemas"]["FlowLink"][];
            /** @description Name. */
            name: string;
            /** @description Places, those further left first. */
            nodes: components["schemas"]["FlowNode"][];
            /** @description The colour that it is drawn in. */
            tint: components["schemas"]["Tint"];
        };
        /**
         * @description Shelf of the pantry: foods are found by it.
         * @enum {string}
         */
        FoodGroup: "roots" | "alliums" | "stalks" | "fruit_vegetables" | "leaves" | "herbs" | "fruit" | "bakery" | "dairy_and_more" | "fish" | "meat";
        /** @description Outline of a section. */
        FoodOutline: {
            /** @description Full height. */
            height: components["schemas"]["Millimetres"];
            /** @enum {string} */
            kind: "ellipse";
            /** @description Full width. */
            width: components["schemas"]["Millimetres"];
        } | {
            /** @description Full height. */
            height: components["schemas"]["Millimetres"];
            /** @enum {string} */
            kind: "rectangle";
            /** @description Full width. */
            width: components["schemas"]["Millimetres"];
        } | {
            /** @description Halved, lying on its flat face. */
            halved: boolean;
            /** @enum {string} */
            kind: "rings";
            /**
             * Format: int32
             * @description How many layers.
             */
            layers: number;
            /** @description Full width. */
            width: components["schemas"]["Millimetres"];
        } | {
            /** @enum {string} */
            kind: "arch";
            /** @description Thickness of the wall. */
            wall: components["schemas"]["Millimetres"];
            /** @description Full width. */
            width: components["schemas"]["Millimetres"];
        };
        /**
         * @description What a food does, or has, beside its shape and firmness.
         * @enum {string}
         */
        FoodTrait: "rolls" | "browns" | "stains" | "sticks" | "slippery" | "irregular" | "teeth" | "hard_core" | "hard_stem" | "quarter_core" | "ribs" | "hot" | "stone" | "cheeks" | "segments" | "sandy" | "root_on" | "leaves" | "calyx" | "clove" | "raw_animal" | "cooked" | "bone" | "fish_bone" | "pin_bones" | "grain" | "dense";
        /**
         * @description How garlic is taken apart.
         * @enum {string}
         */
        GarlicDoctrine: "both" | "crush" | "small_knife";
        /** @description A goal: every student has a notch in a cut by a session. */
        GoalFields: {
            /**
             * Format: int32
             * @description Number of the session by which it is reached.
             */
            by: number;
            /** @description Id of the cut. */
            cut: string;
            /** @description The notch. */
            notch: components["schemas"]["NotchKind"];
        };
        /** @description What a plan expects of a goal. */
        GoalState: {
            /** @description Index of the session in which it is expected; none where the plan does not come so far. */
            expected?: number | null;
            /** @description Expected in time. */
            in_time: boolean;
            /**
             * Format: int32
             * @description Sessions of practice that the slowest student still needs.
             */
            needed: number;
            /**
             * Format: int32
             * @description Sessions of practice in the plan by then.
             */
            planned: number;
        };
        /** @description Good pieces that each student should end with. */
        GoodWanted: {
            /**
             * Format: int32
             * @description Good pieces for each student, 1 to 2000.
             */
            count: number;
            /**
             * Format: int64
             * @description The exercise, by id.
             */
            exercise_id: number;
        };
        /**
         * @description A cell against a wanted size.
         * @enum {string}
         */
        Grade: "crumb" | "small" | "wanted" | "large" | "ribbon";
        /**
         * @description How the knife hand holds the knife.
         * @enum {string}
         */
        Grip: "pinch" | "handle" | "index_on_spine" | "choked_back" | "paring" | "spine_top" | "boning_fist";
        /**
         * @description Which grip is taught.
         * @enum {string}
         */
        GripDoctrine: "pinch" | "pinch_only" | "handle";
        /**
         * @description A habit that costs an edge.
         * @enum {string}
         */
        Habit: "dishwasher" | "hard_board" | "scraped" | "loose_drawer" | "pull_through";
        /** @description A bad habit to write down. */
        HabitLine: {
            id: string;
            /** @description Name. */
            name: string;
            /**
             * Format: double
             * @description Board minutes that one occasion counts for.
             */
            wear: number;
            /** @description Why, and what to do instead. */
            why: string;
        };
        /**
         * @description How round food is held to be halved.
         * @enum {string}
         */
        HalvingHold: "bridge" | "claw";
        /**
         * @description The hand that holds the knife.
         * @enum {string}
         */
        Hand: "right" | "left";
        /**
         * @description Size of a hand, as asked at the first lesson.
         * @enum {string}
         */
        HandSize: "small" | "medium" | "large";
        /**
         * @description A rule that a draft never breaks by itself.
         * @enum {string}
         */
        HardRule: "taught" | "allergy" | "board" | "knife" | "clearance" | "order" | "new" | "review_first" | "minutes" | "budget" | "techniques" | "twice";
        /**
         * @description How the guide hand holds the food.
         * @enum {string}
         */
        Hold: "claw" | "bridge" | "flat_palm" | "spine_top" | "in_hand" | "end_rest" | "fork";
        /**
         * @description The angle a knife is honed at.
         * @enum {string}
         */
        HoningAngle: "own" | "fifteen" | "twenty" | "fold";
        /** @description An incident as kept. */
        Incident: components["schemas"]["IncidentFields"] & {
            /**
             * Format: date-time
             * @description When it was written down.
             */
            happened_at: Moment;
            /**
             * Format: int64
             * @description Id.
             */
            id: number;
            /**
             * Format: int64
             * @description Lesson.
             */
            lesson_id: number;
            taken_back?: components["schemas"]["TakenBack"] | null;
        };
        /** @description What is written down of an incident. */
        IncidentFields: {
            /** @description Who gave it, up to 60 characters. */
            aid_by?: string;
            /** @description First aid that was given, up to 200 characters. */
            first_aid?: string;
            /** @description Kind. */
            kind: components["schemas"]["IncidentKind"];
            /** @description Where in the room, up to 80 characters. */
            place?: string;
            /**
             * Format: int64
             * @description Student, if one was part of it.
             */
            student_id?: number | null;
            /** @description What happened, 1 to 400 characters. */
            words: string;
        };
        /**
         * @description Kind of incident.
         * @enum {string}
         */
        IncidentKind: "nick" | "near_miss";
        /**
         * @description Whether the index finger may lie on the spine.
         * @enum {string}
         */
        IndexOnSpine: "never" | "tip_draw";
        /** @description A share with what it proves. */
        InsideShare: {
            /** @description Pieces inside. */
            count: number;
            /** @description Pieces judged. */
            of: number;
            /**
             * Format: double
             * @description Wilson lower bound (two-sided 95 %) of the share, 0..1.
             */
            proves: number;
            /**
             * Format: double
             * @description `count / of`, 0..1.
             */
            share: number;
        };
        /** @description What was seen of a knife; what was not looked at is left out. */
        Inspected: {
            /** @default null */
            balance: components["schemas"]["Deviation"] | null;
            /**
             * @description Sighted down the spine, the blade lies in one plane: no warp, no wave.
             * @default null
             */
            flat: boolean | null;
            /** @default null */
            hand: components["schemas"]["Hand"] | null;
            /** @default null */
            hand_length: components["schemas"]["Millimetres"] | null;
            /** @default null */
            rivets: components["schemas"]["Rivets"] | null;
            /** @default null */
            steel: components["schemas"]["Steel"] | null;
            /**
             * @description Sighted from heel to tip, the edge is one straight line.
             * @default null
             */
            straight: boolean | null;
        };
        /** @description A point with what it says. */
        InspectionFinding: {
            /** @description Its name, e.g. `Balance`. */
            name: string;
            /** @description Which. */
            point: components["schemas"]["InspectionPoint"];
            /** @description What it says. */
            says: components["schemas"]["Says"];
            /** @description Why, or how to look. */
            words: components["schemas"]["Text"];
        };
        /**
         * @description A point that is looked at.
         * @enum {string}
         */
        InspectionPoint: "edge" | "blade" | "tang" | "rivets" | "balance" | "hand" | "sharpening" | "price";
        /** @description A knife that is looked over. */
        InspectionQuestion: {
            /** @description Its fields; it needs no number until it is on the rack. */
            knife: components["schemas"]["KnifeFields"];
            /**
             * Format: int64
             * @description Its id, where it is on the rack already: it is not weighed against itself.
             */
            knife_id?: number | null;
            /** @description What was seen of it. */
            seen: components["schemas"]["Inspected"];
        };
        /** @description A knife looked over. */
        InspectionView: {
            /**
             * Format: double
             * @description Where it rests level, as x of the outline; none while it is not known.
             */
            balance?: number | null;
            /** @description Each point, in the order in which one looks. */
            findings: components["schemas"]["InspectionFinding"][];
            /** @description Label, e.g. `Chef's 200`. */
            label: string;
            /** @description Where a pinch holds the blade, as x of the outline. */
            pinch: number[];
            /** @description The gravest of what the points say. */
            says: components["schemas"]["Says"];
            /** @description Its outline. */
            silhouette: components["schemas"]["Silhouette"];
            /** @description Whether to take it, in a sentence. */
            words: components["schemas"]["Text"];
        };
        /** @description Another food for those who may not have the one of an exercise. */
        Instead: {
            /**
             * Format: int64
             * @description The exercise, by id.
             */
            exercise_id: number;
            /** @description Id of the food that they cut. */
            food: string;
        };
        /** @description A link by which somebody chooses a passphrase, once. */
        Invitation: {
            /** @description Path of the link; it is told this once and kept nowhere. */
            path: string;
            /**
             * Format: date-time
             * @description Until when it can be taken.
             */
            until: Moment;
        };
        /** @description Who is invited. */
        Invited: {
            /** @description The name to sign in with. */
            name: string;
            /** @description What may be changed. */
            role: components["schemas"]["Role"];
        };
        /** @description What an invitation is taken with. */
        Join: {
            /** @description The passphrase from now on, 10 to 200 characters. */
            passphrase: string;
        };
        /**
         * @description Which knife joints a bird.
         * @enum {string}
         */
        Jointing: "either" | "boning" | "chefs";
        /** @description What was read, and what it shows. */
        Judged: {
            /** @description Pieces as they were read. */
            pieces: components["schemas"]["MeasuredPiece"][];
            /** @description What they show. */
            verdict: components["schemas"]["Verdict"];
        };
        /** @description How many copies are kept. */
        KeepCopies: {
            /**
             * Format: int32
             * @description The newest of each of so many days, 1 to 60.
             */
            daily: number;
            /**
             * Format: int32
             * @description The newest of each of so many months, 0 to 120.
             */
            monthly: number;
            /**
             * Format: int32
             * @description The newest of each of so many weeks, 0 to 60.
             */
            weekly: number;
        };
        /** @description A value to keep. */
        KeepOwn: {
            /** @description The value. A new copy may leave its id empty: it gets one from its name. */
            value: components["schemas"]["OwnValue"];
            /**
             * Format: int64
             * @description Version that was read; none for a new one.
             */
            version?: number | null;
        };
        /** @description A copy of the school. */
        KeptCopy: {
            /**
             * Format: date-time
             * @description When it was made.
             */
            at: Moment;
            /** @description Made because a newer program was about to change the file. */
            before_change: boolean;
            /**
             * Format: int64
             * @description Its size, bytes.
             */
            bytes: number;
            /** @description Name of its file. */
            name: string;
        };
        /** @description A demonstration that was kept. */
        KeptDemonstration: {
            /** @description As kept. */
            demonstration: components["schemas"]["Demonstration"];
            /** @description What it showed. */
            view: components["schemas"]["SharpDullView"];
        };
        /** @description A plan that is to be kept. */
        KeptPlan: {
            /** @description Blocks of all sessions; those of sessions that were held stay as they are. */
            blocks: components["schemas"]["DraftBlock"][];
            /** @description Goals. */
            goals: components["schemas"]["GoalFields"][];
            /**
             * Format: int64
             * @description The stamp of what was read before.
             */
            stamp: number;
        };
        /** @description The rotation of a lesson as kept. */
        KeptRotation: components["schemas"]["RotationFields"] & {
            /** @description What was announced. */
            announced: components["schemas"]["AnnouncedTurn"][];
            /**
             * Format: int64
             * @description Rises with each change; 0 while nothing was announced.
             */
            version: number;
        };
        /** @description A warning that the instructor saw and kept when the exercise was saved. */
        KeptWarning: {
            /** @description Id of the rule. */
            rule: string;
            /** @description Its words on that day. */
            words: components["schemas"]["Text"];
        };
        /** @description A goal that a course starts with: every student has a notch in a cut by a session. */
        KindGoal: {
            /**
             * Format: int32
             * @description Number of the session.
             */
            by: number;
            /** @description Id of the cut. */
            cut: string;
            /** @description The notch. */
            notch: components["schemas"]["NotchKind"];
        };
        /** @description A kit with its proof. */
        Kit: {
            /**
             * Format: double
             * @description What it costs.
             */
            cost: number;
            /** @description Indices of its knives, the one that covers most first. */
            knives: number[];
            /**
             * Format: int64
             * @description Kits that were looked at to rule out smaller or cheaper ones.
             */
            looked_at: number;
            /** @description The best kit of 1, 2, 3 … knives. */
            steps: components["schemas"]["KitStep"][];
            /** @description For each cut, the index of the knife that fits it best. */
            used_for: number[];
            /** @description Whether it keeps within the budget, where there is one. */
            within_budget: boolean;
        };
        /** @description A kit, or what stands in its way. */
        KitAnswer: {
            /** @description Cuts to cover, by title. */
            jobs: string[];
            kit?: components["schemas"]["Kit"] | null;
            /** @description Knives to choose from, by name. */
            knives: string[];
            /** @description Cuts that nothing covers, with what comes nearest. */
            uncovered: components["schemas"]["Uncovered"][];
        };
        /** @description A cut of the course, by name. */
        KitCut: components["schemas"]["CutOfFood"] & {
            /** @description `Julienne of carrot`. */
            title: string;
        };
        /** @description What is wanted of a kit. */
        KitGoal: {
            /** @enum {string} */
            kind: "fewest";
        } | {
            /**
             * Format: double
             * @description Most that may be spent.
             */
            budget: number;
            /** @enum {string} */
            kind: "cheapest";
        };
        /** @description What a kit can be worked out from. */
        KitOptions: {
            /**
             * Format: int32
             * @description Knives that the course's doctrine holds to be enough; none where it is worked out.
             */
            doctrine_says?: number | null;
            /**
             * Format: int32
             * @description Fit from which a knife counts as fit for class, of 100.
             */
            fits: number;
            /** @description Cuts of the course's exercises, each once. */
            jobs: components["schemas"]["KitCut"][];
            /** @description Knife types. */
            knives: components["schemas"]["KitType"][];
        };
        /** @description What a kit is asked for. */
        KitQuestion: {
            /** @description Fewest, or cheapest. */
            goal: components["schemas"]["KitGoal"];
            /** @description Cuts to cover. */
            jobs: components["schemas"]["CutOfFood"][];
            /** @description Types to choose from; up to 24. */
            knives: components["schemas"]["PricedType"][];
            /**
             * Format: int32
             * @description Least score that covers a cut, 1 to 100.
             */
            least_fit: number;
        };
        /**
         * @description How many knives are enough.
         * @enum {string}
         */
        KitSize: "computed" | "one" | "three" | "six";
        /** @description The best kit of one size. */
        KitStep: {
            /** @description Indices of cuts that it covers and the best kit of one knife fewer does not. */
            adds: number[];
            /** @description Cuts that it covers. */
            covered: number;
            /** @description Indices of its knives. */
            knives: number[];
            /**
             * Format: double
             * @description Mean of the best score over all cuts, uncovered ones as 0.
             */
            mean_score: number;
        };
        /** @description A knife type with the price that the rack knows. */
        KitType: components["schemas"]["PricedType"] & {
            /** @description `Chef's 200`. */
            name: string;
            /** @description How many are on the rack. */
            on_rack: number;
        };
        /** @description A knife as kept. */
        Knife: components["schemas"]["KnifeFields"] & {
            /** @description No longer on the rack; the record is kept with its history. */
            archived: boolean;
            /**
             * Format: int64
             * @description Id.
             */
            id: number;
            /**
             * Format: int64
             * @description Rises with each change.
             */
            version: number;
        };
        /** @description Everything about the care of a knife. */
        KnifeCare: {
            against?: components["schemas"]["FoodAgainstBlade"] | null;
            aid?: components["schemas"]["AngleAid"] | null;
            /** @description How a medium hand finds it. */
            comfort: components["schemas"]["Comfort"][];
            due: components["schemas"]["Due"][];
            /** @description The latest first. */
            events: components["schemas"]["EventLine"][];
            good_for: string;
            habits: components["schemas"]["HabitLine"][];
            history: components["schemas"]["CareHistory"];
            knife: components["schemas"]["Knife"];
            label: string;
            not_for: string;
            own_angle?: components["schemas"]["Degrees"] | null;
            /**
             * Format: int32
             * @description Clean cuts of how many that pass the paper test.
             */
            paper_cuts: number;
            parts: components["schemas"]["KnifePart"][];
            silhouette: components["schemas"]["Silhouette"];
            /** Format: date */
            today: Day;
            type_name: string;
            /**
             * Format: int32
             * @description Minutes in class and of bad habits since it was ground, to the minute.
             */
            wear_minutes: number;
        };
        /** @description A knife model on the rack, or one dull knife, with how it suits. */
        KnifeChoice: {
            /** @description How well it suits. */
            fit: components["schemas"]["Fit"];
            /** @description Id of the type. */
            knife_type: string;
            /** @description Blade length. */
            length: components["schemas"]["Millimetres"];
            /** @description The motion that suits it best here. */
            motion: components["schemas"]["Motion"];
            /** @description Label, e.g. `Flat chef's 210`. */
            name: string;
            /** @description Numbers on the rack. */
            numbers: string[];
            /** @description Passed the last edge test. */
            sharp: boolean;
        };
        /** @description The count of a lesson. */
        KnifeCount: {
            closed?: components["schemas"]["Closing"] | null;
            /** @description Knives that went out, by number. */
            knives: components["schemas"]["CountedKnife"][];
            /** @description The lesson. */
            lesson: components["schemas"]["Lesson"];
            /** @description Knives that are still out. */
            missing: number;
            /** @description Numbers that the check sheet would take out, to start with. */
            proposed: string[];
        };
        /** @description Some knives that are alike, as they were written, and what was understood. */
        KnifeCounted: {
            /** @description The knives, numbered; none where it is not understood. */
            knives: components["schemas"]["KnifeFields"][];
            /** @description What is wrong with it. */
            problems: components["schemas"]["Problem"][];
            /** @description What was understood: `6 × Chef's 200 mm, numbers 1 to 6`. */
            said: components["schemas"]["Text"];
            /** @description As it was written. */
            text: string;
        };
        /** @description What a person edits of a knife. */
        KnifeFields: {
            /** @description Bolster. */
            bolster?: components["schemas"]["Bolster"];
            /**
             * Format: double
             * @description What it cost, in the school's own currency, 0 to 100,000.
             */
            cost?: number | null;
            edge_angle?: components["schemas"]["Degrees"] | null;
            /** @description What the last edge test said. */
            edge_state: components["schemas"]["EdgeState"];
            hand?: components["schemas"]["Hand"] | null;
            /** @description Material of the handle, up to 40 characters; may be empty. */
            handle?: string;
            /** @description Blade height at the heel, 8 to 120 mm. */
            heel_height: components["schemas"]["Millimetres"];
            /** @description Sides hollowed, so that slices let go. */
            hollowed?: boolean;
            /** @description Id of the knife type. */
            knife_type: string;
            /** @description Blade length, within the type's range. */
            length: components["schemas"]["Millimetres"];
            /** @description A name of its own, up to 40 characters; may be empty. */
            name?: string;
            /** @description Note, up to 200 characters, e.g. where and why it failed. */
            note: string;
            /** @description Number on the handle, 1 to 12 characters, unique on the rack. */
            number: string;
            /** @description Where it is stored, up to 60 characters; may be empty. */
            stored?: string;
            /** @description Tang. */
            tang?: components["schemas"]["Tang"];
        };
        /** @description A list of knives, item by item. */
        KnifeList: {
            /** @description Items in order. */
            items: components["schemas"]["KnifeCounted"][];
            /** @description Knives that are understood. */
            sound: number;
            /** @description Items with a problem. */
            wrong: number;
        };
        /** @description A part of a knife. */
        KnifePart: {
            /** @description Where its label points. */
            at: components["schemas"]["PartPlace"];
            /** @description What it is for. */
            does: string;
            /** @description Id. */
            id: string;
            /** @description Name. */
            name: string;
        };
        /** @description A row of the table as it was read. */
        KnifeRow: {
            fields?: components["schemas"]["KnifeFields"] | null;
            /** @description Label of the knife, if the row is sound. */
            label: string;
            /**
             * Format: int64
             * @description Line of the text, the head being 1.
             */
            line: number;
            /** @description What is wrong with the row. */
            problems: components["schemas"]["Problem"][];
            /** @description The row as it was written. */
            text: string;
        };
        /**
         * @description Which knives are compared.
         * @enum {string}
         */
        KnifeSource: "rack" | "types";
        /** @description A table of knives, row by row. */
        KnifeTable: {
            /** @description Rows in order. */
            rows: components["schemas"]["KnifeRow"][];
            /** @description Sound rows. */
            sound: number;
            /** @description Rows with a problem. */
            wrong: number;
        };
        /** @description A kind of knife, not one knife on the rack. */
        KnifeType: {
            angle?: components["schemas"]["AngleRange"] | null;
            /** @description Work that it is made for. */
            best?: components["schemas"]["Work"][];
            /** @description What it may do on the board. */
            board: components["schemas"]["BoardWork"];
            /**
             * Format: int32
             * @description How common it is in a class, 0 to 6: of knives that do the work alike the commoner one leads.
             */
            common?: number;
            /** @description Kind of edge. */
            edge: components["schemas"]["Edge"];
            /** @description Made for children's hands. */
            for_children?: boolean;
            /** @description Work that it also does. */
            good?: components["schemas"]["Work"][];
            /** @description What it is good for. */
            good_for: string;
            /** @description Usual height of the blade at the heel. */
            heel_height: components["schemas"]["Millimetres"];
            /** @description Id, e.g. `flat_chefs`. */
            id: string;
            /** @description Blade lengths. */
            length: components["schemas"]["LengthRange"];
            /** @description Motions that suit it, best first. */
            motions: components["schemas"]["Motion"][];
            /** @description Name in a sentence. */
            name: string;
            /** @description What it is not for. */
            not_for: string;
            /** @description Outline. */
            profile: components["schemas"]["Profile"];
            /** @description Name on a label. */
            short: string;
            /** @description Needs its own clearance (turning, single-bevel, boning, heavy). */
            special?: boolean;
            /**
             * Format: int32
             * @description 1 flexible to 5 stiff.
             */
            stiffness: number;
            /**
             * Format: int32
             * @description 1 light to 5 heavy.
             */
            weight: number;
        };
        /** @description What one knife did. */
        KnifeWork: {
            /**
             * Format: int32
             * @description Of these, crushed or torn.
             */
            crushed: number;
            /**
             * Format: int32
             * @description Cut faces that were looked at, 1 to 200.
             */
            faces: number;
            /**
             * Format: int64
             * @description Id of the knife.
             */
            knife_id: number;
            /** @description Its pieces, one a line as they are measured, 3 to 60. */
            pieces: string;
            /**
             * Format: int32
             * @description Strokes that it took, 1 to 2,000.
             */
            strokes: number;
        };
        /** @description An outline, and the knives that have it. */
        KnivesOutline: {
            /** @description Ids of the knives. */
            knife_ids: number[];
            /** @description Their outline. */
            silhouette: components["schemas"]["Silhouette"];
        };
        /** @description The latest step, which can be taken back. */
        LastRunStep: {
            /**
             * Format: int64
             * @description Id.
             */
            id: number;
            /** @description In words, e.g. `Demonstration began`. */
            words: string;
        };
        /** @description A student who comes late. */
        LateStudent: {
            /**
             * Format: int32
             * @description First round that the student is there for, from 1.
             */
            from_round: number;
            /**
             * Format: int64
             * @description The student.
             */
            student_id: number;
        };
        /** @description A turn that nobody can be given. */
        LeftOut: {
            /**
             * Format: int64
             * @description The exercise.
             */
            exercise_id: number;
            /**
             * Format: int64
             * @description The student.
             */
            student_id: number;
            /** @description What would free it. */
            way: components["schemas"]["RotationWay"];
            /** @description Who, what, why. */
            words: components["schemas"]["Text"];
        };
        /** @description The lengths that a type is made in. */
        LengthRange: {
            /** @description Shortest blade. */
            from: components["schemas"]["Millimetres"];
            /** @description Longest blade. */
            to: components["schemas"]["Millimetres"];
            /** @description The one most often bought. */
            usual: components["schemas"]["Millimetres"];
        };
        /** @description A lesson as kept. */
        Lesson: components["schemas"]["LessonFields"] & {
            /**
             * Format: int64
             * @description Course.
             */
            course_id: number;
            /**
             * Format: int64
             * @description Id.
             */
            id: number;
            /**
             * Format: int32
             * @description Number in the course, from 1.
             */
            number: number;
            /** @description What is said about its food. */
            produce?: components["schemas"]["ProduceFields"];
            /**
             * Format: int64
             * @description Rises with each change.
             */
            version: number;
        };
        /** @description What a person edits of a lesson. */
        LessonFields: {
            /**
             * Format: int32
             * @description Minutes, 10 to 600.
             */
            minutes: number;
            /** @description Segments in order. */
            segments: components["schemas"]["StoredSegment"][];
            /**
             * Format: civil-date-time
             * @description Day and time by the school's clock.
             * @example 2026-10-06T18:30:00
             */
            starts_at: CivilTime;
            /** @description Title, 1 to 80 characters. */
            title: string;
        };
        /** @description A lesson on the course rule. */
        LessonPlace: {
            /** Format: int64 */
            id: number;
            /** Format: int32 */
            number: number;
            /** Format: civil-date-time */
            starts_at: CivilTime;
            title: string;
            when: components["schemas"]["LessonWhen"];
        };
        /** @description A kind of segment with its usual and least width. */
        LessonSegment: {
            /**
             * Format: int32
             * @description Minutes that each student has at a sink, where they take turns at one.
             */
            at_sink?: number | null;
            /**
             * Format: int32
             * @description Place in the order in which minutes are taken when a lesson runs over; 1 gives first.
             */
            gives: number;
            /** @description Why it can give them, or what that costs. */
            gives_because: string;
            /** @description Kind. */
            kind: components["schemas"]["SegmentKind"];
            /**
             * Format: int32
             * @description What it can be cut down to when time is short.
             */
            least: number;
            /** @description What it costs to leave it out altogether; none where a class is not held without it. */
            left_out?: string | null;
            /**
             * Format: int32
             * @description Usual minutes.
             */
            minutes: number;
            /** @description Name. */
            name: string;
            /** @description Name on a narrow segment. */
            short: string;
        };
        /**
         * @description When a lesson is, seen from today.
         * @enum {string}
         */
        LessonWhen: "past" | "next" | "later";
        /** @description What may not be exceeded. */
        Limits: {
            /**
             * @description Nothing moves towards the guide hand: no level cut.
             * @default false
             */
            no_level_cut: boolean;
            /**
             * Format: int32
             * @description Most strokes for a half, crosscuts included; none for any number.
             * @default null
             */
            strokes: number | null;
        };
        /** @description A change that was made. */
        LiveChange: {
            subject?: components["schemas"]["Subject"] | null;
            /** @description The Idempotency-Key that it was sent with: who sent it knows of it already. */
            touch?: string | null;
        };
        /** @description Sizes of its own, the way of working, the size that the produce is bought in. */
        Making: {
            /** @default null */
            length: components["schemas"]["Millimetres"] | null;
            /** @default null */
            peel: components["schemas"]["Millimetres"] | null;
            /**
             * @description The size that the produce is bought in.
             * @default medium
             */
            produce: components["schemas"]["ProduceSize"];
            /** @default null */
            thickness: components["schemas"]["Millimetres"] | null;
            /**
             * @description Way of working sticks and dice; food that is not worked flat first is squared.
             * @default squared
             */
            way: components["schemas"]["Way"];
            /** @default null */
            width: components["schemas"]["Millimetres"] | null;
        };
        /** @description Knives that are alike. */
        ManyKnives: {
            /**
             * Format: int32
             * @description How many, 1 to 60.
             */
            count: number;
            /** @description Fields of the first; the others take the numbers after its own. */
            fields: components["schemas"]["KnifeFields"];
        };
        /** @description A mark as kept. */
        Mark: {
            /**
             * Format: date-time
             * @description When, by the clock of the device set right by the school's.
             */
            at: Moment;
            /** @description Who made it; none where nobody signs in. */
            by?: string | null;
            /**
             * Format: int64
             * @description Id.
             */
            id: number;
            /**
             * Format: int64
             * @description The mark that it was put in the place of.
             */
            instead_of?: number | null;
            taken_back?: components["schemas"]["TakenBack"] | null;
            /** @description What was seen. */
            what: components["schemas"]["MarkKind"];
        };
        /** @description What was seen. */
        MarkKind: {
            /** @description Id of the fault. */
            fault: string;
            /** @enum {string} */
            kind: "fault";
        } | {
            /** @enum {string} */
            kind: "grip";
        } | {
            /** @enum {string} */
            kind: "hold";
        } | {
            /** @enum {string} */
            kind: "praise";
        } | {
            /** @enum {string} */
            kind: "cleared";
        };
        /** @description Cuts against knives, for one food or any. */
        Matrix: {
            /**
             * Format: int32
             * @description Least score that counts as fitting.
             */
            fits: number;
            /** @description Id of the food; none for any. */
            food?: string | null;
            /** @description Columns. */
            knives: components["schemas"]["MatrixKnife"][];
            /** @description Rows: the cuts that are made of this food. */
            rows: components["schemas"]["MatrixRow"][];
        };
        /** @description How a knife suits a cut. */
        MatrixCell: {
            motion?: components["schemas"]["Motion"] | null;
            /** @description Refused; for any food, refused for each of them. */
            refused: boolean;
            /**
             * Format: int32
             * @description 0 to 100; for any food the mean over the foods that are cut so.
             */
            score: number;
            /** @description Something speaks against it. */
            warned: boolean;
            /** @description The weightiest reason, or for any food how many it fits. */
            words: components["schemas"]["Text"];
        };
        /** @description A knife of the matrix. */
        MatrixKnife: {
            /** @description Id of the type. */
            knife_type: string;
            /** @description Blade length. */
            length: components["schemas"]["Millimetres"];
            /** @description Label, e.g. `Chef's 200`. */
            name: string;
            /** @description Numbers on the rack; none for a type of the catalogue. */
            numbers: string[];
            /** @description Passed its last edge test. */
            sharp: boolean;
        };
        /** @description A cut of the matrix with a cell for each knife. */
        MatrixRow: {
            /** @description One for each knife. */
            cells: components["schemas"]["MatrixCell"][];
            /** @description Id of the cut. */
            cut: string;
            /** @description Its family. */
            family: components["schemas"]["CutFamily"];
            /** @description What it leaves. */
            leaves: string;
            /** @description Its name. */
            name: string;
            /** @description Its sizes by the course's standards. */
            target: components["schemas"]["Target"];
            /** @description Taught on this food; an odd cut is shown to who asks for it. */
            taught: boolean;
        };
        /** @description Sizes of a day. */
        MeasuredAgainst: {
            /** @description The knives by number and kind, the sharp one first. */
            knives: string[];
            /** @description Target sizes. */
            target: components["schemas"]["Target"];
            /** @description The cut by name, e.g. `Coins of cucumber`. */
            title: string;
            /** @description Tolerance. */
            tolerance: components["schemas"]["Tolerance"];
        };
        /** @description One measured piece. A side that was not measured is `None`. */
        MeasuredPiece: {
            far_width?: components["schemas"]["Millimetres"] | null;
            length?: components["schemas"]["Millimetres"] | null;
            /** @description Thickness, set by the plank cut. */
            thickness: components["schemas"]["Millimetres"];
            width?: components["schemas"]["Millimetres"] | null;
        };
        /**
         * @description A place of the program.
         * @enum {string}
         */
        MendingPlace: "plan" | "rotation" | "produce" | "rack" | "rack_due" | "count" | "class" | "check_sheet" | "set_up";
        /** @description How the half is cut. */
        Method: {
            /** @enum {string} */
            kind: "verticals";
        } | {
            /** @enum {string} */
            kind: "level";
            /**
             * Format: int32
             * @description Level cuts, 1 to 10.
             */
            level: number;
        } | {
            /** @enum {string} */
            kind: "centre";
        } | {
            /**
             * Format: double
             * @description Depth of the point in radii, above 0 and up to 100.
             */
            depth: number;
            /** @enum {string} */
            kind: "below";
        } | {
            /** @enum {string} */
            kind: "turned";
        } | {
            /** @enum {string} */
            kind: "half_rings";
        };
        /** @description The best that one method gives. */
        MethodAtBest: {
            /** @description The half ball in figures. */
            ball: components["schemas"]["BallFigures"];
            /**
             * Format: int32
             * @description Cuts from above, or fanned.
             */
            cuts: number;
            /**
             * @description Aim depths around the best that are all as good within 1 %, in radii: with the depth the share
             *     leaps as cells come into their band and go out of it.
             */
            depths?: number[] | null;
            /** @description The section in figures. */
            figures: components["schemas"]["Figures"];
            /** @description Method, with its best aim depth. */
            method: components["schemas"]["Method"];
            /**
             * Format: double
             * @description Share of the section in ribbons: longer than twice the wanted size.
             */
            ribbons: number;
            /**
             * Format: int32
             * @description Strokes for a half: cuts, level cuts, crosscuts.
             */
            strokes: number;
            /**
             * Format: int32
             * @description Strokes that move towards the guide hand's side.
             */
            strokes_towards_hand: number;
            /**
             * Format: double
             * @description Share of the section in pieces of the wanted size (±25 %) that are no ribbons.
             */
            wanted: number;
        };
        /**
         * Format: double
         * @description A length in millimetres.
         */
        Millimetres: number;
        /**
         * @description How the edge moves.
         * @enum {string}
         */
        Motion: "rock" | "push" | "pull" | "tap" | "saw" | "long_draw" | "pivot_mince" | "press" | "in_hand_pull" | "crush" | "peel_stroke" | "pierce" | "score" | "snip";
        /** @description A word with its name. */
        Named_FoodGroup: {
            /** @description Name. */
            name: string;
            /**
             * @description Shelf of the pantry: foods are found by it.
             * @enum {string}
             */
            value: "roots" | "alliums" | "stalks" | "fruit_vegetables" | "leaves" | "herbs" | "fruit" | "bakery" | "dairy_and_more" | "fish" | "meat";
        };
        /** @description A word with its name. */
        Named_Third: {
            /** @description Name. */
            name: string;
            /**
             * @description The part of the blade that does the work.
             * @enum {string}
             */
            value: "tip" | "middle" | "heel" | "whole";
        };
        /** @description A name on a device where nobody signs in. */
        NameHere: {
            /** @description The name, 1 to 60 characters. */
            name: string;
        };
        /**
         * @description What a food is made of, as far as it decides which knives are for it.
         * @enum {string}
         */
        Nature: "produce" | "herb" | "bread" | "cake" | "cheese" | "fish" | "cured" | "meat" | "cooked";
        /** @description A knife with its score. */
        Nearest: {
            /** @description Label of the knife. */
            knife: string;
            /**
             * Format: int32
             * @description Its score, 1 to 100.
             */
            score: number;
        };
        /** @description A deed to write down, in a course. */
        NewCare: {
            /**
             * Format: int64
             * @description Course whose doctrines and time zone count.
             */
            course?: number | null;
            /** @description The deed. */
            fields: components["schemas"]["CareFields"];
        };
        /** @description A new lesson; it gets the usual segments. */
        NewLesson: {
            /**
             * Format: civil-date-time
             * @description Day and time by the school's clock.
             * @example 2026-10-06T18:30:00
             */
            starts_at: CivilTime;
            /** @description Title. */
            title: string;
        };
        /** @description A mark for a student: it belongs to the attempt of that moment. */
        NewMark: {
            /** Format: int64 */
            student_id: number;
            /** @description What was seen. */
            what: components["schemas"]["MarkKind"];
        };
        /** @description Another passphrase of one's own. */
        NewPassphrase: {
            /** @description The one that holds now. */
            current: string;
            /** @description The one from now on, 10 to 200 characters. */
            passphrase: string;
        };
        /**
         * @description Kind of next step.
         * @enum {string}
         */
        NextKind: "start" | "wait" | "safe_first" | "repeat" | "easier_cut" | "harder_cut" | "pace" | "longer_blade" | "special_clearance" | "hold" | "complete";
        /** @description The step with its reason. */
        NextStep: {
            blade?: components["schemas"]["Millimetres"] | null;
            /** @description Id of the cut to practise. */
            cut?: string | null;
            /** @description Kind. */
            kind: components["schemas"]["NextKind"];
            /** @description Why. */
            reason: components["schemas"]["Text"];
            strand?: components["schemas"]["Strand"] | null;
            /** @description Headline, e.g. `Harder cut: fine julienne`. */
            title: components["schemas"]["Text"];
        };
        /** @description One notch with its reason. */
        Notch: {
            /** @description Which of the five. */
            kind: components["schemas"]["NotchKind"];
            /** @description Cut, open or lapsed. */
            state: components["schemas"]["NotchState"];
            /** @description Why it stands as it does, with the figures. */
            words: components["schemas"]["Text"];
        };
        /**
         * @description The five notches of a strand, in the order they are cut.
         * @enum {string}
         */
        NotchKind: "safe" | "true" | "even" | "paced" | "held";
        /** @description State of one notch. */
        NotchState: {
            /** @enum {string} */
            kind: "open";
        } | {
            /** @enum {string} */
            kind: "cut";
            /**
             * Format: date
             * @description Day it was cut.
             */
            on: Day;
        } | {
            /** @enum {string} */
            kind: "lapsed";
            /**
             * Format: date
             * @description Day it was cut.
             */
            on: Day;
            /**
             * Format: date
             * @description Day of the Stop fault.
             */
            since: Day;
        };
        /** @description A food on which a technique can be taught here. */
        OfferedFood: {
            /** @description Id of the food. */
            food: string;
            /**
             * Format: int32
             * @description Minutes that the class needs.
             */
            minutes: number;
            /** @description Its name. */
            name: string;
        };
        /** @description A technique that can be put into a session by hand. */
        OfferedTechnique: {
            /** @description Id of the cut. */
            cut: string;
            /** @description Foods on which it can be taught here, the easiest first; none where something keeps it off this course. */
            foods: components["schemas"]["OfferedFood"][];
            kept_off?: components["schemas"]["Text"] | null;
            /** @description Its name. */
            name: string;
            /** @description Its lane. */
            strand: components["schemas"]["Strand"];
        };
        /** @description What a cut is on meat and fish. */
        OnFlesh: {
            /** @description How it is done, in a sentence or two. */
            how: string;
            /** @description What it leaves, in a few words. */
            leaves: string;
        };
        /**
         * @description How an onion is diced.
         * @enum {string}
         */
        OnionDice: "computed" | "level_cut" | "radial" | "verticals" | "half_rings";
        /** @description What is asked of an onion, or of anything else in layers. */
        OnionQuestion: {
            /**
             * Format: int32
             * @description Cuts, 1 to 60.
             */
            cuts: number;
            /**
             * Format: int32
             * @description Layers, 1 to 40.
             */
            layers: number;
            length?: components["schemas"]["Millimetres"] | null;
            /** @description How it is cut. */
            method: components["schemas"]["Method"];
            /** @description Where each cut lies, as shares of the width from the left; then `cuts` is not looked at. */
            places?: number[] | null;
            /** @description Radius, 5 to 150 mm. */
            radius: components["schemas"]["Millimetres"];
            /** @description Edge of the wanted dice; crosscuts are as far apart. */
            size: components["schemas"]["Millimetres"];
            /**
             * Format: double
             * @description Unevenness of the steps (coefficient of variation), 0 to 0.5.
             */
            uneven?: number;
        };
        /** @description Onions beside each other. */
        OnionsBeside: {
            /** @description How each after the first differs from it. */
            differences: components["schemas"]["Text"][];
            /** @description Each onion, as it is shown alone. */
            onions: components["schemas"]["OnionView"][];
            /** @description Their figures, one row a figure. */
            rows: components["schemas"]["BesideRow"][];
        };
        /** @description Onions that are set beside each other, two or three. */
        OnionsQuestion: {
            /** @description The onions; the first is what the others are compared with. */
            onions: components["schemas"]["OnionQuestion"][];
        };
        /** @description An onion cut one way. */
        OnionView: {
            /** @description The half ball in figures. */
            ball: components["schemas"]["BallFigures"];
            /** @description Cautions of this way of cutting. */
            cautions: string[];
            edges?: components["schemas"]["SideFigures"] | null;
            /** @description Each cell against the wanted size, in the order of the cells. */
            grades: components["schemas"]["Grade"][];
            /** @description The method in words. */
            name: string;
            /** @description Where the cuts lie, as shares of the width from the left. */
            places: number[];
            /**
             * Format: double
             * @description Share of the section in ribbons.
             */
            ribbons: number;
            /** @description The section, cell by cell. */
            section: components["schemas"]["CellSection"];
            /**
             * Format: int32
             * @description Strokes for a half.
             */
            strokes: number;
            /**
             * Format: int32
             * @description Strokes that move towards the guide hand's side.
             */
            strokes_towards_hand: number;
            /**
             * Format: double
             * @description Share of the section in pieces of the wanted size (±25 %) that are no ribbons.
             */
            wanted: number;
        };
        /** @description A food as it is opened, which is how it lies on the board for all that follows. */
        Opened: {
            /** @description Across, as the blade crosses it. */
            across: components["schemas"]["Millimetres"];
            /** @description Height above the board. */
            height: components["schemas"]["Millimetres"];
            /** @description How it is opened. */
            how: string;
            /** @description Length. */
            length: components["schemas"]["Millimetres"];
            /**
             * Format: int32
             * @description Parts that lie side by side.
             */
            parts?: number;
            /** @description The skin, rind or crust is still on. */
            skin_on?: boolean;
        };
        /** @description Opens the place in which something is mended. */
        Opening: {
            /**
             * Format: int64
             * @description The exercise that is opened there, by id.
             */
            exercise_id?: number | null;
            /** @description The place. */
            place: components["schemas"]["MendingPlace"];
            /** @description What the button says. */
            words: string;
        };
        /** @description What an order costs, in the school's own money. */
        OrderCost: {
            /**
             * Format: double
             * @description Of all lines with a price.
             */
            cost: number;
            /** @description More than it may cost. */
            over: boolean;
            /** @description In words. */
            words: components["schemas"]["Text"];
        };
        /** @description A lesson that an order is for. */
        OrderedLesson: {
            /**
             * Format: int64
             * @description The lesson, by id.
             */
            id: number;
            /**
             * Format: int32
             * @description Its number in the course.
             */
            number: number;
            /**
             * Format: civil-date
             * @description Its day.
             */
            on: string;
            /** @description Its title. */
            title: string;
        };
        /** @description One food to order. */
        OrderLine: {
            /** @description Statutory allergens in it. */
            allergens: string[];
            /**
             * Format: double
             * @description What it costs, in the school's own money, where the school has said the price; of whole packs.
             */
            cost?: number | null;
            /** @description The cuts that it is for. */
            cuts: string[];
            /**
             * Format: int32
             * @description Units for the demonstration.
             */
            demonstration: number;
            /** @description Id of the food. */
            food: string;
            /**
             * Format: double
             * @description Grams as bought.
             */
            grams: number;
            /** @description In how it is sold, where the school has said it, e.g. `5 bags of 1000 g`. */
            packs?: string | null;
            /** @description Size that is bought. */
            size: components["schemas"]["ProduceSize"];
            /**
             * Format: int32
             * @description Spare units.
             */
            spare: number;
            /**
             * Format: int32
             * @description Units for students.
             */
            students: number;
            /**
             * Format: int32
             * @description Units in all.
             */
            total: number;
            /** @description What to order, e.g. `5 white cabbages`. */
            what: string;
        };
        /** @description Students who may not hold the knife of the setup yet, with what suits them best. */
        OtherKnife: {
            /** @description Whether it fits the job; one that does not is taken for want of a better. */
            fits: boolean;
            /** @description Label of the knife that they take; none where nothing at hand is for them. */
            knife?: string | null;
            /** @description Names of the students, by station. */
            students: string[];
        };
        /** @description What a school may change of a food; all else, its cuts above all, is that of the food it was copied from. */
        OwnFood: {
            /**
             * Format: double
             * @description g/cm³.
             */
            density: number;
            /**
             * Format: int32
             * @description 1 soft to 5 hard.
             */
            firmness: number;
            /** @description Id. */
            id: string;
            /** @description One of it, 1 to 60 characters. */
            name: string;
            /** @description Several of it. */
            plural: string;
            /**
             * Format: double
             * @description What a kilogram costs, in the school's own money, 0 to 1000; none where it is not said.
             */
            price?: number | null;
            /** @description Shape and usual size. */
            shape: components["schemas"]["Shape"];
            sold?: components["schemas"]["Sold"] | null;
            /** @description Cut off each end before the work. */
            trim?: components["schemas"]["Millimetres"];
        };
        /**
         * @description Kind of value that a school can make its own.
         * @enum {string}
         */
        OwnKind: "standard_set" | "tolerance" | "food" | "cue" | "thresholds";
        /** @description An own value with where it differs from what was shipped. */
        OwnLine: {
            /** @description A copy beside the shipped ones, not an edited one. */
            copy: boolean;
            /** @description Where it differs. */
            differences: components["schemas"]["Difference"][];
            /** @description Id within its kind. */
            id: string;
            kind: components["schemas"]["OwnKind"];
            value: components["schemas"]["OwnValue"];
            /**
             * Format: int64
             * @description Rises with each change.
             */
            version: number;
        };
        /** @description One value of the school's own. */
        OwnValue: {
            /** @description Id of the shipped set that it was copied from. */
            based_on: string;
            /** @description Id: a shipped one that is edited, or a new one. */
            id: string;
            /** @enum {string} */
            kind: "standard_set";
            /** @description Name, 1 to 60 characters. */
            name: string;
            /** @description Sizes by id of the cut; a cut that is left out is not taught. */
            sizes: {
                [key: string]: components["schemas"]["SizeTexts"];
            };
        } | {
            /** @description Id of the shipped profile that it was copied from. */
            based_on: string;
            /**
             * Format: double
             * @description Largest coefficient of variation that counts as even, above 0 and up to 1.
             */
            even_cv: number;
            /** @description Least tolerance. */
            floor: components["schemas"]["Millimetres"];
            /** @description Id: a shipped one that is edited, or a new one. */
            id: string;
            /** @enum {string} */
            kind: "tolerance";
            /** @description Name, 1 to 60 characters. */
            name: string;
            /**
             * Format: double
             * @description Share of the target, above 0 and below 1.
             */
            share: number;
        } | {
            /** @description Id of the shipped food that it was copied from. */
            based_on: string;
            /** @description What is the school's own of it; its id is a shipped one, or a new one. */
            food: components["schemas"]["OwnFood"];
            /** @enum {string} */
            kind: "food";
        } | {
            /** @description What to say, 1 to 160 characters. */
            cue: string;
            /** @description Id of the fault. */
            id: string;
            /** @enum {string} */
            kind: "cue";
        } | {
            /** @enum {string} */
            kind: "thresholds";
            /** @description All of them, with the ladder of blade lengths. */
            thresholds: components["schemas"]["ProgressRules"];
        };
        /** @description Everything that a school can copy or edit, and what it did. */
        OwnView: {
            /** @description Own values in force. */
            own: components["schemas"]["OwnLine"][];
            /** @description Own values that no longer fit. */
            set_aside: components["schemas"]["SetAsideLine"][];
            /** @description Sizes of each set of standards as texts, by id. */
            sizes: {
                [key: string]: {
                    [key: string]: components["schemas"]["SizeTexts"];
                };
            };
            /** @description Thresholds of the notches as they stand. */
            thresholds: components["schemas"]["ProgressRules"];
        };
        /**
         * @description How quick a class or student is at an even rhythm.
         * @enum {string}
         */
        Pace: "learner" | "improving" | "trained" | "fast";
        /** @description Minutes at a pace. */
        PaceMinutes: {
            /**
             * Format: double
             * @description Minutes for one unit.
             */
            minutes: number;
            /** @description The pace. */
            pace: components["schemas"]["Pace"];
        };
        /** @description Pages as they are printed. */
        Pages: {
            /** @description What is printed. */
            page: components["schemas"]["PaperKind"];
            /** @description The pages. */
            pages: components["schemas"]["PaperPage"][];
            /** @description Size of the paper. */
            paper: components["schemas"]["PaperSize"];
            /** @description What the lesson is called. */
            title: string;
        };
        /** @description Marks that belong together. */
        PaperBlock: {
            /** @description What is drawn, one above the other. */
            marks: components["schemas"]["Drawn"][];
            /** @description What they are. */
            role: components["schemas"]["PaperRole"];
        };
        /**
         * @description A face of the type.
         * @enum {string}
         */
        PaperFace: "plain" | "bold" | "figures" | "others";
        /**
         * @description How dark something is; everything is told apart in black and white.
         * @enum {string}
         */
        PaperInk: "black" | "dark" | "tint" | "white";
        /**
         * @description What is printed of a lesson.
         * @enum {string}
         */
        PaperKind: "lesson" | "stations" | "rotation" | "order" | "count" | "practice" | "whole";
        /** @description A page. */
        PaperPage: {
            /** @description What is on it, in the order in which it is read. */
            blocks: components["schemas"]["PaperBlock"][];
            /**
             * Format: double
             * @description Height, mm.
             */
            height: number;
            /** @description What it is called. */
            name: string;
            /**
             * Format: double
             * @description Width, mm.
             */
            width: number;
        };
        /** @description What a part of a page is, for who has it read aloud. */
        PaperRole: {
            /** @enum {string} */
            kind: "title";
        } | {
            /** @enum {string} */
            kind: "heading";
        } | {
            /** @enum {string} */
            kind: "text";
        } | {
            /** @description Column, from 0. */
            column: number;
            /** @description What the column is. */
            heading: boolean;
            /** @enum {string} */
            kind: "cell";
        } | {
            /** @enum {string} */
            kind: "figure";
            /** @description What it shows. */
            shows: string;
        } | {
            /** @enum {string} */
            kind: "decoration";
        };
        /**
         * @description A size of paper.
         * @enum {string}
         */
        PaperSize: "a4" | "letter";
        /** @description One part of a sentence. */
        Part: string | {
            /** @description Shown without its unit, which follows a later length: `3 to 5 mm`. */
            bare?: boolean;
            /** @description The length. */
            length: components["schemas"]["Millimetres"];
        } | {
            /** @description The difference. */
            offset: components["schemas"]["Deviation"];
        } | {
            /**
             * Format: double
             * @description How many.
             */
            minutes: number;
        } | {
            /**
             * Format: double
             * @description Grams.
             */
            grams: number;
        } | {
            /** @description The name. */
            name: string;
        };
        /** @description Other minutes for a part. */
        PartMinutes: {
            /**
             * Format: int32
             * @description Minutes, 0 to 600; with none of them it is left out.
             */
            minutes: number;
            /** @description Index of the part among the lesson's segments. */
            part: number;
        };
        /** @description Where a label points on a knife. */
        PartPlace: {
            /**
             * Format: double
             * @description 0 at the tip, 1 at the heel, 2 at the end of the handle.
             */
            x: number;
            /**
             * Format: double
             * @description 0 at the spine, 1 at the edge.
             */
            y: number;
        };
        /** @description Whether a food is peeled, by the kind of work. */
        Peeled: {
            /** @description For an exam: cuts of true size. */
            exam: components["schemas"]["Peeling"];
            /** @description In a kitchen. */
            kitchen: components["schemas"]["Peeling"];
        };
        /**
         * @description Whether a food is peeled for a kind of work.
         * @enum {string}
         */
        Peeling: "yes" | "no" | "either";
        /**
         * @description What peels.
         * @enum {string}
         */
        PeelTool: "peeler" | "knife";
        /** @description A person of the school: what goes along from course to course. */
        Person: {
            /** @description Allergens by name. */
            allergies: string[];
            /** @description Longest blade that the person is cleared for. */
            clearance: components["schemas"]["Millimetres"];
            /** @description Courses that the person is or was in. */
            courses: components["schemas"]["PersonCourse"][];
            /** @description Working hand. */
            hand: components["schemas"]["Hand"];
            /** @description Size of the hand. */
            hand_size: components["schemas"]["HandSize"];
            /**
             * Format: int64
             * @description Id.
             */
            id: number;
            /** @description Name. */
            name: string;
            /** @description Anything else. */
            notes: string;
            /** @description Cleared for knives with a clearance of their own. */
            special_clearance: boolean;
            /**
             * Format: int64
             * @description Rises with each change, also of a place in a course.
             */
            version: number;
        };
        /** @description The place of a person in a course. */
        PersonCourse: {
            /** @description Left the course. */
            archived: boolean;
            /**
             * Format: int64
             * @description Course.
             */
            course_id: number;
            /**
             * Format: int32
             * @description Station.
             */
            station: number;
            /**
             * Format: int64
             * @description Id as a student of it.
             */
            student_id: number;
        };
        /** @description Equal pieces side by side in the section, in mm. */
        PieceGrid: {
            /**
             * Format: int32
             * @description Pieces side by side.
             */
            columns: number;
            /**
             * Format: double
             * @description Height of one piece.
             */
            piece_height: number;
            /**
             * Format: double
             * @description Width of one piece.
             */
            piece_width: number;
            /**
             * Format: int32
             * @description Pieces one above the other.
             */
            rows: number;
            /**
             * Format: double
             * @description Degrees, clockwise around the first corner.
             */
            turn: number;
            /**
             * Format: double
             * @description First corner, from the left of the outline.
             */
            x: number;
            /**
             * Format: double
             * @description First corner, down from the top of the outline.
             */
            y: number;
        };
        /**
         * @description In which order the pieces were measured.
         * @enum {string}
         */
        PieceOrder: "as_cut" | "mixed";
        /** @description A piece by its sides, where they have a size. */
        PieceSides: {
            length?: components["schemas"]["Millimetres"] | null;
            thickness?: components["schemas"]["Millimetres"] | null;
            width?: components["schemas"]["Millimetres"] | null;
        };
        /** @description A student's exercise that is held in its round. */
        PinnedTurn: {
            /**
             * Format: int64
             * @description The exercise.
             */
            exercise_id: number;
            /**
             * Format: int64
             * @description The knife, where it is held too.
             */
            knife_id?: number | null;
            /**
             * Format: int32
             * @description The round, from 1.
             */
            round: number;
            /**
             * Format: int64
             * @description The student.
             */
            student_id: number;
        };
        /** @description An exercise of the lesson with its advice. */
        PlannedExercise: {
            advice?: components["schemas"]["Advice"] | null;
            /** @description As kept. */
            exercise: components["schemas"]["Exercise"];
            /** @description Why there is no advice, or why the setup is refused today. */
            problems: components["schemas"]["Problem"][];
        };
        /** @description What is asked of a course's plan. */
        PlanQuestion: {
            /** @description Blocks as they stand on the screen; what is kept where none are given. */
            blocks?: components["schemas"]["DraftBlock"][] | null;
            /** @description Draft it. */
            draft?: boolean;
            /** @description Goals as they stand on the screen; what is kept where none are given. */
            goals?: components["schemas"]["GoalFields"][] | null;
        };
        /** @description Everything that Plan shows of a lesson. */
        PlanView: {
            /** @description The course. */
            course: components["schemas"]["Course"];
            /** @description The limits of the advice, in words. */
            disclaimer: string;
            /** @description Its exercises. */
            exercises: components["schemas"]["PlannedExercise"][];
            /** @description The lesson. */
            lesson: components["schemas"]["Lesson"];
            /** @description Students in the course. */
            students: number;
            /** @description Its segments on the rule of minutes. */
            time_rule: components["schemas"]["TimeRule"];
        };
        /** @description The preparation of a food for a cut. */
        Preparation: {
            /** @description A line for the instructor. */
            notes: string;
            /** @description How the food is first opened. */
            opened: string;
            /** @description What the trimmings become. */
            scraps: string;
            /** @description Steps in the order of the work; the cut itself is the last. */
            steps: components["schemas"]["PreparationStep"][];
            /** @description `Slice of apple`. */
            title: string;
        };
        /** @description A step of the preparation. */
        PreparationStep: {
            /** @description Cautions that first come up here, the gravest first. */
            cautions: components["schemas"]["ShownCaution"][];
            /** @description Id of the cut. */
            cut: string;
            /** @description How it is done. */
            how: string;
            /** @description Label of the knife that leads; none where nothing at hand may do it. */
            knife?: string | null;
            /** @description What it leaves. */
            leaves: string;
            /** @description Its name. */
            name: string;
            /** @description `pinch · claw · push cut · heel third`. */
            setup: string;
            /** @description Tools beside the knife that first come up here. */
            tools: components["schemas"]["ShownTool"][];
        };
        /** @description A knife type to choose from, with its price. */
        PricedType: {
            /**
             * Format: double
             * @description What one costs, in the school's own currency, 0 to 100,000. Without it the type is left out of
             *     the search for the cheapest kit.
             */
            cost?: number | null;
            /** @description Id of the knife type; a usual length of it is meant. */
            knife_type: string;
        };
        /** @description One thing wrong with what was entered, told so that it can be mended at the field. */
        Problem: {
            /** @description What is allowed, in plain words. */
            allowed: string;
            /** @description The same sentence in millimetres. */
            message: string;
            /** @description The field as it is labelled on the screen. */
            name: string;
            /** @description JSON pointer to the field, e.g. `/segments/3/minutes`. */
            pointer: string;
            /** @description Id of the rule that refuses, where one does. */
            rule?: string | null;
            /** @description The whole sentence for a person, with its lengths. */
            sentence: components["schemas"]["Text"];
            /** @description The refused value, as entered. */
            value: string;
        };
        /** @description The body of every failure. */
        ProblemDocument: {
            /** @description What happened here. */
            detail: string;
            /** @description Each refused field with its value and what is allowed. */
            problems: components["schemas"]["Problem"][];
            /**
             * Format: int32
             * @description HTTP status.
             */
            status: number;
            /** @description The kind in words. */
            title: string;
            /** @description Kind of failure, a path that never changes. */
            type: string;
        };
        /** @description What the instructor says about the food of a lesson. */
        ProduceFields: {
            /** @description Foods that are not eaten together at the end. */
            ends?: components["schemas"]["FoodEnd"][];
            /** @description Exercises of which each student should end with so many good pieces. */
            good?: components["schemas"]["GoodWanted"][];
            /** @description Foods for those with an allergy. */
            instead?: components["schemas"]["Instead"][];
        };
        /**
         * @description A size that produce is bought in.
         * @enum {string}
         */
        ProduceSize: "small" | "medium" | "large";
        /** @description The food of a lesson. */
        ProduceView: {
            /** @description Who may not have a food, and what they cut instead. */
            allergies: components["schemas"]["AllergyCase"][];
            /** @description What each exercise takes, in the order of the lesson. */
            exercises: components["schemas"]["ExerciseNeed"][];
            /** @description What the instructor says about it. */
            fields: components["schemas"]["ProduceFields"];
            /** @description Where each food goes, in the order in which they are first cut. */
            flows: components["schemas"]["FoodFlow"][];
            /**
             * Format: int64
             * @description The lesson, by id.
             */
            lesson_id: number;
            /** @description What to order. */
            order: components["schemas"]["OrderLine"][];
            order_cost?: components["schemas"]["OrderCost"] | null;
            /**
             * Format: int64
             * @description Rises with each change of the lesson.
             */
            version: number;
        };
        /**
         * @description The outline of the blade, as far as rules and drawings need it.
         * @enum {string}
         */
        Profile: "curved_belly" | "gentle_belly" | "sheeps_foot" | "clipped_tip" | "dead_flat" | "short" | "curved_inwards" | "narrow" | "long_narrow" | "blunt_tip" | "slot" | "swivel" | "scissors";
        /** @description Thresholds of the five notches and the ladder of blade lengths. */
        ProgressRules: {
            /** @description Clean attempts in a row that cut, or restore, Safe. */
            clean_attempts: number;
            /** @description Attempts that Even looks back on. */
            even_attempts: number;
            /**
             * Format: int64
             * @description Days after the fourth notch before the fifth can be cut.
             */
            held_days: number;
            /** @description Blade lengths that are cleared one after the other, shortest first. */
            ladder: components["schemas"]["ClearanceRung"][];
            /**
             * Format: double
             * @description Largest time as a multiple of the reference time.
             */
            paced_factor: number;
            /**
             * Format: double
             * @description Largest |bias| as a share of the tolerance.
             */
            true_bias_share: number;
            /** @description Blind pieces that True looks back on. */
            true_pieces: number;
            /**
             * Format: double
             * @description Least Wilson lower bound of the share inside, 0..1.
             */
            true_wilson: number;
        };
        /**
         * @description Whether a pull-through sharpener may be used.
         * @enum {string}
         */
        PullThrough: "recorded" | "never";
        /** @description A question with two to four answers, one of them right. */
        Question: {
            /** @description What it is about. */
            about: components["schemas"]["AskAbout"];
            /** @description It was missed before. */
            again: boolean;
            /** @description What can be answered. */
            answers: components["schemas"]["Choice"][];
            /** @description The question. */
            asks: components["schemas"]["Text"];
            shown?: components["schemas"]["Shown"] | null;
        };
        /** @description Knives of one type, length and hand: they hang together. */
        RackGroup: {
            comfort?: components["schemas"]["Comfort"] | null;
            /** @description What it is good for. */
            good_for: string;
            /** @description Id of the type. */
            knife_type: string;
            /** @description Its knives by number. */
            knives: components["schemas"]["RackKnife"][];
            /** @description Label, e.g. `Chef's 200`. */
            label: string;
            /** @description Blade length. */
            length: components["schemas"]["Millimetres"];
            /** @description What it is not for. */
            not_for: string;
            silhouette?: components["schemas"]["Silhouette"] | null;
            /** @description Name of the type. */
            type_name: string;
        };
        /** @description A knife on the rack. */
        RackKnife: {
            /** @description What is due, the gravest first. */
            due: components["schemas"]["Due"][];
            /** @description Fit for class. */
            fit: boolean;
            /** @description As kept. */
            knife: components["schemas"]["Knife"];
            /** @description Its edge has to be ground, or it is to be sent out. */
            worn: boolean;
        };
        /** @description The whole rack. */
        RackView: {
            /** @description Whether a lesson is held today. */
            class_today: boolean;
            /** @description Knives. */
            count: number;
            /** @description Knives for which something is due. */
            due: number;
            /** @description What is due, the gravest first. */
            due_lines: components["schemas"]["DueLine"][];
            /** @description Of these fit for class. */
            fit: number;
            /** @description Groups, the longest first, or the easiest for a hand first. */
            groups: components["schemas"]["RackGroup"][];
        };
        /** @description All methods compared. */
        RankedMethods: {
            /** @description Methods that are as good as the first, within one part in a hundred of the whole. */
            as_good: number;
            /** @description The best of each method, the best of all first; none where the limits leave nothing. */
            found: components["schemas"]["MethodAtBest"][];
            /** @description The best for each number of strokes. */
            trade: components["schemas"]["Trade"][];
            /** @description The finding in a sentence. */
            words: string;
        };
        /** @description One option among others, e.g. a grip, with how well it suits. */
        Rated_Grip: {
            /** @description How well it suits. */
            fit: components["schemas"]["Fit"];
            /** @description Its name. */
            name: string;
            /**
             * @description How the knife hand holds the knife.
             * @enum {string}
             */
            value: "pinch" | "handle" | "index_on_spine" | "choked_back" | "paring" | "spine_top" | "boning_fist";
        };
        /** @description One option among others, e.g. a grip, with how well it suits. */
        Rated_Hold: {
            /** @description How well it suits. */
            fit: components["schemas"]["Fit"];
            /** @description Its name. */
            name: string;
            /**
             * @description How the guide hand holds the food.
             * @enum {string}
             */
            value: "claw" | "bridge" | "flat_palm" | "spine_top" | "in_hand" | "end_rest" | "fork";
        };
        /** @description One option among others, e.g. a grip, with how well it suits. */
        Rated_Motion: {
            /** @description How well it suits. */
            fit: components["schemas"]["Fit"];
            /** @description Its name. */
            name: string;
            /**
             * @description How the edge moves.
             * @enum {string}
             */
            value: "rock" | "push" | "pull" | "tap" | "saw" | "long_draw" | "pivot_mince" | "press" | "in_hand_pull" | "crush" | "peel_stroke" | "pierce" | "score" | "snip";
        };
        /** @description One option among others, e.g. a grip, with how well it suits. */
        Rated_Third: {
            /** @description How well it suits. */
            fit: components["schemas"]["Fit"];
            /** @description Its name. */
            name: string;
            /**
             * @description The part of the blade that does the work.
             * @enum {string}
             */
            value: "tip" | "middle" | "heel" | "whole";
        };
        /**
         * @description What it is about.
         * @enum {string}
         */
        ReadyAbout: "time" | "exercise" | "rotation" | "short" | "hands" | "dull" | "watching" | "boards" | "produce" | "allergy" | "before" | "first_aid";
        /** @description One thing that is not as it should be. */
        ReadyItem: {
            /** @description What it is about. */
            about: components["schemas"]["ReadyAbout"];
            /** @description Its way out. */
            way: components["schemas"]["ReadyWay"];
            /** @description How bad it is. */
            weight: components["schemas"]["ReadyWeight"];
            /** @description What is the matter, in one sentence. */
            words: components["schemas"]["Text"];
        };
        /** @description Whether a lesson can begin. */
        ReadyView: {
            /** @description What is not as it should be, worst first; empty when all is. */
            items: components["schemas"]["ReadyItem"][];
            /**
             * Format: int64
             * @description The lesson, by id.
             */
            lesson_id: number;
            /** @description Its title. */
            title: string;
            /**
             * Format: int64
             * @description Rises with each change of the lesson.
             */
            version: number;
            /** @description The state in one sentence. */
            words: string;
        };
        /** @description What a button does about it. */
        ReadyWay: {
            /** @enum {string} */
            kind: "fit";
            /** @description The way out. */
            way: components["schemas"]["WayOut"];
        } | {
            /**
             * Format: int64
             * @description The exercise, by id.
             */
            exercise_id: number;
            /** @description Id of the food. */
            food: string;
            /** @enum {string} */
            kind: "instead";
            /** @description What the button says. */
            words: string;
        } | (components["schemas"]["Opening"] & {
            /** @enum {string} */
            kind: "open";
        });
        /**
         * @description How bad it is.
         * @enum {string}
         */
        ReadyWeight: "stop" | "caution" | "to_do";
        /** @description An answer that is not offered. */
        RefusedDoctrine: {
            /** @description Name. */
            name: string;
            /** @description Why it cannot be chosen. */
            why: string;
        };
        /** @description A student whose attempt could not be started, while others were. */
        RefusedStart: {
            /** Format: int64 */
            student_id: number;
            /** @description Why. */
            words: components["schemas"]["Text"][];
        };
        /** @description A change that would reach a goal. */
        Remedy: {
            /** @enum {string} */
            kind: "more_sessions";
            /**
             * Format: int32
             * @description How many.
             */
            sessions: number;
        } | {
            /** @enum {string} */
            kind: "longer";
            /**
             * Format: int32
             * @description Minutes more, each.
             */
            minutes: number;
        } | {
            /**
             * Format: int32
             * @description Number of the session.
             */
            by: number;
            /** @enum {string} */
            kind: "later";
        } | {
            /** @enum {string} */
            kind: "lower";
            /** @description The notch that is reached. */
            notch: components["schemas"]["NotchKind"];
        };
        /** @description What a course has beside its knives and the number of its boards. What nobody has said limits nothing. */
        Resources: {
            assistants?: components["schemas"]["Watchers"] | null;
            board_size?: components["schemas"]["BoardSize"] | null;
            /**
             * Format: int32
             * @description Containers, 0 to 1000.
             */
            containers?: number | null;
            /** @description Days of the week on which food comes; the day before each lesson where none is said. */
            delivery_days?: components["schemas"]["DayOfWeek"][];
            /**
             * Format: double
             * @description What the food of a lesson may cost, in the school's own money, 0 to 100000.
             */
            food_budget?: number | null;
            instructors?: components["schemas"]["Watchers"] | null;
            /**
             * Format: int32
             * @description Sinks, 1 to 60.
             */
            sinks?: number | null;
        };
        /**
         * @description How the handle is held together.
         * @enum {string}
         */
        Rivets: "flush" | "proud" | "gaps" | "none";
        /**
         * @description What a person who works here may change. Everybody may read.
         * @enum {string}
         */
        Role: "instructor" | "assistant";
        /** @description Where the stations stand. */
        Room: {
            /** @description Each station once; one that is left out stands where it is not placed. */
            places: components["schemas"]["StationPlace"][];
        };
        /** @description A class list, line by line. */
        Roster: {
            /** @description Columns that are not read, by their heads. */
            left_out: string[];
            /** @description Lines in order; empty ones and the head are left out. */
            lines: components["schemas"]["RosterLine"][];
            /** @description Lines that are understood. */
            sound: number;
            /** @description Lines with a problem. */
            wrong: number;
        };
        /** @description A line of a class list, and what was understood of it. */
        RosterLine: {
            fields?: components["schemas"]["StudentFields"] | null;
            /** @description Line of the text, the first being 1. */
            line: number;
            /**
             * Format: int64
             * @description The person of the school who has this name, and comes along with hand, clearance and evidence.
             */
            person_id?: number | null;
            /** @description What is wrong with the line. */
            problems: components["schemas"]["Problem"][];
            /** @description What was understood beside the name; what was not told is said as taken for granted. */
            said: components["schemas"]["Text"];
            /** @description The line as it was written. */
            text: string;
        };
        /** @description What was taken from a class list. */
        RosterTaken: {
            /** @description Students who were added. */
            added: number;
            /** @description Of them those whom the school knew. */
            known: number;
            /** @description Lines that were left. */
            left: number;
        };
        /** @description A class list as it was pasted. */
        RosterText: {
            /** @description Lines of people who are somebody else than the one of that name whom the school knows. */
            apart?: number[];
            clearance?: components["schemas"]["Millimetres"] | null;
            /** @description Take the lines that are understood and leave the others. */
            skip_wrong?: boolean;
            /** @description One student a line. */
            text: string;
        };
        /** @description What a student does in a round. */
        RotationCell: (components["schemas"]["RotationTurn"] & {
            /** @enum {string} */
            kind: "work";
        }) | {
            /** @enum {string} */
            kind: "wait";
            /** @description With what. */
            with: components["schemas"]["WaitingWith"];
            /** @description The same in words. */
            words: components["schemas"]["Text"];
        };
        /** @description An exercise of the rotation. */
        RotationExercise: {
            /**
             * Format: int64
             * @description Id.
             */
            id: number;
            /**
             * Format: int32
             * @description Minutes of a turn, rounded up.
             */
            minutes: number;
            section?: components["schemas"]["SectionDrawing"] | null;
            /** @description `Julienne of carrot`. */
            title: string;
        };
        /** @description What is known of the day, beside who is in the course and what hangs on the rack. */
        RotationFields: {
            /**
             * @description Students who are not there.
             * @default []
             */
            absent: number[];
            /**
             * @description Planned anew, whatever was announced for the rounds to come.
             * @default false
             */
            anew: boolean;
            /**
             * @description Knives that are out of this lesson: broken, dull, lent.
             * @default []
             */
            knives_out: number[];
            /**
             * @description Students who come late.
             * @default []
             */
            late: components["schemas"]["LateStudent"][];
            /**
             * Format: int32
             * @description Minutes of practice that were lost, 0 to 240.
             * @default 0
             */
            minutes_lost: number;
            /**
             * @description Turns that are held where they are.
             * @default []
             */
            pins: components["schemas"]["PinnedTurn"][];
            /**
             * Format: int32
             * @description Rounds that are over: what was announced for them is done.
             * @default 0
             */
            rounds_done: number;
        };
        /** @description A knife of the rotation. */
        RotationKnife: {
            /**
             * Format: int64
             * @description Id.
             */
            id: number;
            /** @description `Flat chef's 210, no. 9`. */
            name: string;
            /** @description Number on the handle. */
            number: string;
            /** @description Out of this lesson. */
            out: boolean;
            silhouette?: components["schemas"]["Silhouette"] | null;
        };
        /** @description A round. */
        RotationRound: {
            /** @description Over. */
            done: boolean;
            /**
             * Format: int32
             * @description Minute at which it ends, behind the longest turn in it.
             */
            ends: number;
            /**
             * Format: int64
             * @description The exercise that all of them do; none where they do several.
             */
            exercise_id?: number | null;
            /**
             * Format: int32
             * @description Number, from 1.
             */
            number: number;
            /**
             * Format: int32
             * @description Minute of the lesson at which it starts.
             */
            starts: number;
            /**
             * Format: int32
             * @description Students who work in it.
             */
            working: number;
        };
        /** @description A student's row. */
        RotationRow: {
            /** @description Not there. */
            absent: boolean;
            /** @description One for each round; none for a student who is not there. */
            cells: components["schemas"]["RotationCell"][];
            /**
             * Format: int32
             * @description First round that the student is there for, from 1.
             */
            from_round: number;
            /** @description Name. */
            name: string;
            /**
             * Format: int32
             * @description Station.
             */
            station: number;
            /**
             * Format: int64
             * @description The student.
             */
            student_id: number;
        };
        /** @description A student's exercise in its round. */
        RotationTurn: {
            announced?: components["schemas"]["Text"] | null;
            /**
             * Format: int64
             * @description The exercise.
             */
            exercise_id: number;
            /** @description How well it fits, in words; none for a round that is over. */
            fit_words?: string | null;
            /** @description The knife before it would have done, and is laid down all the same. */
            hand_over: boolean;
            /**
             * Format: int64
             * @description The knife.
             */
            knife_id: number;
            /** @description Held where it is. */
            pinned: boolean;
            /** @description The cell in words. */
            words: components["schemas"]["Text"];
        };
        /** @description The rotation of a lesson. */
        RotationView: {
            /** @description Why there is no rotation. */
            blocked: components["schemas"]["Text"][];
            /** @description What differs from what was announced. */
            differences: components["schemas"]["Text"][];
            /** @description Exercises. */
            exercises: components["schemas"]["RotationExercise"][];
            /** @description What is known of the day. */
            fields: components["schemas"]["RotationFields"];
            /** @description It is what was announced. */
            is_announced: boolean;
            /** @description Knives, those that are used first. */
            knives: components["schemas"]["RotationKnife"][];
            /** @description Turns that nobody can be given. */
            left_out: components["schemas"]["LeftOut"][];
            /**
             * Format: int64
             * @description The lesson.
             */
            lesson_id: number;
            /**
             * Format: int32
             * @description Minutes beyond the practice of the lesson.
             */
            over: number;
            /** @description Rounds. */
            rounds: components["schemas"]["RotationRound"][];
            /** @description Students by station, those who are not there last. */
            rows: components["schemas"]["RotationRow"][];
            /** @description What one more knife, board or pair of eyes would save. */
            savings: components["schemas"]["Text"][];
            /** @description How many rounds, how long, and why not fewer. */
            summary: components["schemas"]["Text"][];
            /** @description The segments of the lesson, for its rule. */
            time_rule: components["schemas"]["TimeRule"];
            /** @description Its title. */
            title: string;
            /** @description Each of the smallest changes that would make it fit; empty where it does. */
            to_fit: components["schemas"]["Text"][];
            /** @description What would be announced. */
            turns: components["schemas"]["AnnouncedTurn"][];
            /**
             * Format: int64
             * @description Version of what was announced; 0 while nothing was.
             */
            version: number;
            /** @description The smallest changes, each of which would free it. */
            ways: components["schemas"]["RotationWay"][];
        };
        /** @description A small change that frees a rotation, or a turn of it. */
        RotationWay: {
            /** @description The news after it. */
            fields: components["schemas"]["RotationFields"];
            /** @enum {string} */
            kind: "news";
            /** @description What the button says. */
            words: components["schemas"]["Text"];
        } | (components["schemas"]["Opening"] & {
            /** @enum {string} */
            kind: "open";
        });
        /** @description A student who starts, and with what. */
        RoundStart: {
            /**
             * Format: int64
             * @description The exercise.
             */
            exercise_id: number;
            /**
             * Format: int64
             * @description The knife.
             */
            knife_id: number;
            /**
             * Format: int64
             * @description The student.
             */
            student_id: number;
        };
        /**
         * @description Where a part stands.
         * @enum {string}
         */
        RunPartState: "done" | "now" | "to_come" | "left_out";
        /** @description A part of a lesson as it runs. */
        RunPartView: {
            /**
             * Format: int32
             * @description Minutes that it has now; those that it took where it is over.
             */
            minutes: number;
            /** @description Name, e.g. `Practice 1`. */
            name: string;
            /**
             * Format: int32
             * @description Minutes that were planned.
             */
            planned: number;
            /** @description Name for a narrow part. */
            short: string;
            /** @description Where it stands. */
            state: components["schemas"]["RunPartState"];
        };
        /**
         * @description Where a lesson stands.
         * @enum {string}
         */
        RunState: "not_begun" | "unused" | "running" | "resting" | "over";
        /** @description A step in the run of a lesson. */
        RunStep: {
            /** @enum {string} */
            step: "begin";
        } | {
            /** @enum {string} */
            step: "pause";
        } | {
            /** @enum {string} */
            step: "go_on";
        } | {
            /** @description Index of the part that is over. */
            part: number;
            /** @enum {string} */
            step: "next";
        } | {
            /**
             * Format: int32
             * @description By so many minutes, 1 to 60.
             */
            minutes: number;
            /** @description Index of the part. */
            part: number;
            /** @enum {string} */
            step: "longer";
        } | {
            /** @description Each part that changes. */
            parts: components["schemas"]["PartMinutes"][];
            /** @enum {string} */
            step: "rest";
        };
        /** @description A lesson as it runs. */
        RunView: {
            /** @description It is less than an hour to the time at which it is to begin, or after it. */
            about_time: boolean;
            /**
             * Format: int64
             * @description Minutes by which it will end later than it is to, each begun minute whole; below zero where it ends earlier.
             */
            behind: number;
            last?: components["schemas"]["LastRunStep"] | null;
            /**
             * Format: int64
             * @description Seconds that the part that runs has left, below zero where it has run over.
             */
            left_seconds?: number | null;
            /** @description Index of the one that comes after it. */
            next?: number | null;
            /**
             * Format: date-time
             * @description The moment for which this is worked out.
             */
            now: Moment;
            /** @description Index of the part that runs. */
            part?: number | null;
            /** @description All parts in order. */
            parts: components["schemas"]["RunPartView"][];
            /** @description Where the lesson stands. */
            state: components["schemas"]["RunState"];
            /** @description Ways to end in time, the gentlest first; none where it does, or nothing can be won. */
            ways: components["schemas"]["RunWay"][];
            /** @description How it stands, in one sentence. */
            words: string;
        };
        /** @description A way to end in time. */
        RunWay: {
            /** @description The parts that change, as a step takes them. */
            parts: components["schemas"]["PartMinutes"][];
            /** @description Why that can go, or what it costs. */
            reason: string;
            /** @description The change in one sentence. */
            words: string;
        };
        /** @description A judged sample. */
        Sample: {
            /**
             * Format: int64
             * @description Attempt.
             */
            attempt_id: number;
            /** @description How it was chosen. */
            custom: components["schemas"]["SampleCustom"];
            /**
             * Format: int64
             * @description Id.
             */
            id: number;
            /**
             * Format: date-time
             * @description When it was entered.
             */
            taken_at: Moment;
            taken_back?: components["schemas"]["TakenBack"] | null;
            /** @description What it showed, by the figures of that day. */
            verdict: components["schemas"]["Verdict"];
        };
        /**
         * @description How the pieces of a sample were chosen. The two are never compared with each other.
         * @enum {string}
         */
        SampleCustom: "blind_ten" | "best_four";
        /** @description Two samples side by side. */
        SamplesBeside: {
            /** @description Both were chosen in the same way, so that a difference is one of the work. */
            alike: boolean;
            /** @description Sides that both have, with the same target and tolerance. */
            sides: components["schemas"]["SideBeside"][];
            /** @description What is to be known first: that one was chosen, how many are inside in each. */
            words: components["schemas"]["Text"][];
        };
        /**
         * @description What a point says.
         * @enum {string}
         */
        Says: "good" | "not_seen" | "mind" | "leave";
        /** @description What the section shows. */
        SectionDrawing: {
            /** @description Outside. */
            outline: components["schemas"]["FoodOutline"];
            /** @description Pieces inside; none for slices, chopping and layered food. */
            pieces: components["schemas"]["PieceGrid"][];
        };
        /**
         * @description What a stretch of the lesson is for.
         * @enum {string}
         */
        SegmentKind: "arrival" | "station_set_up" | "safety_briefing" | "honing" | "demonstration" | "dry_drill" | "practice" | "measuring" | "clean_down" | "knife_count" | "own";
        /** @description A segment in its place on the rule. */
        SegmentOnRule: components["schemas"]["StoredSegment"] & {
            /** @description What the minutes that it needs are made of, in one sentence; empty where nothing is reckoned. */
            basis: string;
            /**
             * Format: int32
             * @description Minute at which it ends.
             */
            ends: number;
            /**
             * Format: int32
             * @description Minutes that it can give when the lesson runs over; 0 if it is fixed, at its least or at what it needs.
             */
            gives: number;
            /** @description Name, e.g. `Practice`. */
            name: string;
            /**
             * Format: int32
             * @description Minutes that its exercise, or the turns at the sinks, need, where that is known.
             */
            needs?: number | null;
            /**
             * Format: int32
             * @description Minutes of it that lie past the end of the lesson.
             */
            over: number;
            /** @description The minutes for each student are the instructor's own, not reckoned from strokes. */
            own_minutes: boolean;
            /** @description Name for a narrow segment. */
            short: string;
            /**
             * Format: int32
             * @description Minutes that its exercise needs more than it has.
             */
            short_by: number;
            /**
             * Format: int32
             * @description Minute at which it starts.
             */
            starts: number;
        };
        /**
         * @description What teeth are for.
         * @enum {string}
         */
        SerratedUse: "tough_outside" | "bread_only";
        /** @description Sessions by a rule. */
        SessionsRule: {
            /**
             * Format: civil-time
             * @description When they begin, by the school's clock.
             * @example 18:30:00
             */
            at: string;
            /**
             * Format: int32
             * @description How many, 1 to 60.
             */
            count: number;
            /**
             * Format: date
             * @description No session is before this day.
             * @example 2026-09-08
             */
            first: Day;
            /** @description Days without a session. */
            skip?: string[];
            /** @description On which days of the week; the day of `first` where none is named. */
            weekdays?: components["schemas"]["DayOfWeek"][];
        };
        /** @description An own value that no longer fits the catalogue, and is not laid over it until it is mended. */
        SetAsideLine: {
            /** @description A copy beside the shipped ones: nothing stands in its place. */
            copy: boolean;
            /** @description Id within its kind. */
            id: string;
            kind: components["schemas"]["OwnKind"];
            /** @description Why it does not fit. */
            problems: components["schemas"]["Problem"][];
            value?: components["schemas"]["OwnValue"] | null;
            /**
             * Format: int64
             * @description Version that it is mended or dropped by.
             */
            version: number;
        };
        /**
         * @description The shape that the geometry works with. All lengths are whole outer sizes. A stalk is half a ring, hollow
         *     side down: `width` across, `thickness` of its wall, at most half the width. A layered ball is `length` long
         *     from root to tip. A wedge lies on its broad side and thins out towards one end. Stoned food has its flesh
         *     around a stone. An irregular one is only known by the box around it.
         */
        Shape: {
            big_end: components["schemas"]["Millimetres"];
            /** @enum {string} */
            kind: "frustum";
            length: components["schemas"]["Millimetres"];
            small_end: components["schemas"]["Millimetres"];
        } | {
            diameter: components["schemas"]["Millimetres"];
            /** @enum {string} */
            kind: "cylinder";
            length: components["schemas"]["Millimetres"];
        } | {
            height: components["schemas"]["Millimetres"];
            /** @enum {string} */
            kind: "ellipsoid";
            length: components["schemas"]["Millimetres"];
            width: components["schemas"]["Millimetres"];
        } | {
            core?: components["schemas"]["Millimetres"] | null;
            diameter: components["schemas"]["Millimetres"];
            /** @enum {string} */
            kind: "ball";
        } | {
            diameter: components["schemas"]["Millimetres"];
            /** @enum {string} */
            kind: "layered_ball";
            /** Format: int32 */
            layers: number;
            length: components["schemas"]["Millimetres"];
        } | {
            diameter: components["schemas"]["Millimetres"];
            /** @enum {string} */
            kind: "layered_cylinder";
            /** Format: int32 */
            layers: number;
            length: components["schemas"]["Millimetres"];
        } | {
            /** @enum {string} */
            kind: "stalk";
            length: components["schemas"]["Millimetres"];
            thickness: components["schemas"]["Millimetres"];
            width: components["schemas"]["Millimetres"];
        } | {
            /** @enum {string} */
            kind: "sheet";
            length: components["schemas"]["Millimetres"];
            wall: components["schemas"]["Millimetres"];
            width: components["schemas"]["Millimetres"];
        } | {
            height: components["schemas"]["Millimetres"];
            /** @enum {string} */
            kind: "block";
            length: components["schemas"]["Millimetres"];
            width: components["schemas"]["Millimetres"];
        } | {
            height: components["schemas"]["Millimetres"];
            /** @enum {string} */
            kind: "wedge";
            length: components["schemas"]["Millimetres"];
            width: components["schemas"]["Millimetres"];
        } | {
            diameter: components["schemas"]["Millimetres"];
            height: components["schemas"]["Millimetres"];
            /** @enum {string} */
            kind: "disc";
        } | {
            height: components["schemas"]["Millimetres"];
            /** @enum {string} */
            kind: "stoned";
            length: components["schemas"]["Millimetres"];
            stone: components["schemas"]["Millimetres"];
            width: components["schemas"]["Millimetres"];
        } | {
            height: components["schemas"]["Millimetres"];
            /** @enum {string} */
            kind: "irregular";
            length: components["schemas"]["Millimetres"];
            width: components["schemas"]["Millimetres"];
        } | {
            diameter: components["schemas"]["Millimetres"];
            /** @enum {string} */
            kind: "stems";
            length: components["schemas"]["Millimetres"];
            /** Format: int32 */
            stems: number;
        } | {
            diameter: components["schemas"]["Millimetres"];
            /** @enum {string} */
            kind: "cone";
            length: components["schemas"]["Millimetres"];
        } | {
            /** Format: double */
            grams: number;
            /** @enum {string} */
            kind: "bundle";
        };
        /** @description What there is to choose, and what was shown in this lesson. */
        SharpDullLesson: {
            /** @description What to mind. */
            caution: string;
            /** @description Knives that failed it. */
            dulled: components["schemas"]["ShownKnife"][];
            /** @description Soft foods by name. */
            foods: components["schemas"]["SoftFood"][];
            /** @description What was shown, the latest first, without what was taken back. */
            kept: components["schemas"]["KeptDemonstration"][];
            /** @description Knives that passed their test, of kinds of which a dull one is there. */
            sharp: components["schemas"]["ShownKnife"][];
        };
        /** @description What the two knives show beside each other. */
        SharpDullView: {
            /** @description The two knives, the sharp one first. */
            knives: string[];
            /** @description Figures, one row each, the sharp knife first. */
            rows: components["schemas"]["BesideRow"][];
            /** @description `Coins of cucumber`. */
            title: string;
            /** @description Whether the figures tell the dull knife apart. */
            told_apart: boolean;
            /** @description The finding in a sentence. */
            words: components["schemas"]["Text"];
        };
        /** @description What is drawn with a question. */
        Shown: {
            /** @enum {string} */
            kind: "outline";
            /** @description The outline. */
            silhouette: components["schemas"]["Silhouette"];
        } | {
            /** @enum {string} */
            kind: "fault";
            /** @description Which drawing. */
            picture: components["schemas"]["FaultPicture"];
        } | {
            /** @description Length of the bar beside it. */
            bar: components["schemas"]["Millimetres"];
            /** @enum {string} */
            kind: "piece";
            /** @description Its length. */
            length: components["schemas"]["Millimetres"];
            /** @description Its thickness. */
            thickness: components["schemas"]["Millimetres"];
        };
        /** @description A caution as it is shown beside the choice. */
        ShownCaution: {
            /** @description Id in the catalogue. */
            id: string;
            /** @description How it is marked. */
            severity: components["schemas"]["CautionSeverity"];
            /** @description Ids of the students that it is about; none where it is about everyone. */
            students: number[];
            /** @description The rest, with names and figures where it has any. */
            text: components["schemas"]["Text"];
            /** @description First words, set bold. */
            title: components["schemas"]["Text"];
        };
        /** @description A knife to choose. */
        ShownKnife: {
            /**
             * Format: int64
             * @description Id.
             */
            id: number;
            /** @description `No. 7, chef's 200`. */
            label: string;
        };
        /** @description A tool as it is shown. */
        ShownTool: {
            /** @description What it is for, and what to mind. */
            does: string;
            /** @description Id. */
            id: string;
            /** @description Name. */
            name: string;
        };
        /** @description One side of both samples, measured against one target. */
        SideBeside: {
            /** @description The side. */
            dimension: components["schemas"]["Dimension"];
            /** @description Of the first sample. */
            first: components["schemas"]["SideFigures"];
            /** @description Of the second. */
            second: components["schemas"]["SideFigures"];
            /** @description What has changed, and whether that may be chance. */
            words: components["schemas"]["Text"][];
        };
        /** @description The figures of one side of the pieces. */
        SideFigures: {
            /** @description Mean − target; for a range or limit, how far the mean lies outside it. */
            bias: components["schemas"]["Deviation"];
            /**
             * Format: double
             * @description Coefficient of variation; none for one piece.
             */
            cv?: number | null;
            /** @description Which side. */
            dimension: components["schemas"]["Dimension"];
            /** @description Pieces inside on this side alone. */
            inside: components["schemas"]["InsideShare"];
            /** @description Smallest size that counts as inside. */
            inside_from: components["schemas"]["Millimetres"];
            /** @description Largest size that counts as inside. */
            inside_to: components["schemas"]["Millimetres"];
            /** @description Mean size. */
            mean: components["schemas"]["Millimetres"];
            /**
             * Format: double
             * @description Population standard deviation, mm.
             */
            sd: number;
            /** @description For each of them, whether it is inside on this side. */
            size_inside: boolean[];
            /** @description Measured sizes, in the order entered. */
            sizes: components["schemas"]["Millimetres"][];
            /** @description What it should be. */
            target: components["schemas"]["TargetSize"];
            /** @description Tolerance τ around the nominal size. */
            tolerance: components["schemas"]["Millimetres"];
        };
        /** @description A browser that is signed in. */
        SignedIn: {
            /**
             * Format: date-time
             * @description When it signed in.
             */
            begun_at: Moment;
            /** @description The device, as its browser calls it. */
            device: string;
            /**
             * Format: int64
             * @description Id.
             */
            id: number;
            /** @description The name. */
            name: string;
            /**
             * Format: date-time
             * @description When it was last heard of, if it was since the program began.
             */
            seen_at?: Moment | null;
            /**
             * Format: int64
             * @description Whose.
             */
            staff_id: number;
            /** @description It is the one that asks. */
            this: boolean;
        };
        /** @description What signs somebody in. */
        SignIn: {
            /** @description The name; may be left out while only one person signs in. */
            name?: string | null;
            /** @description The passphrase. */
            passphrase: string;
        };
        /** @description A knife seen from its side: tip at the left, x 0; spine at the top, y 0; millimetres. */
        Silhouette: {
            /** @description Path of the blade. */
            blade: string;
            /** @description Bolster, as a path; none where there is none. */
            bolster?: string | null;
            /** @description Path of the handle. */
            handle: string;
            /** @description x of the heel: the blade is `0..heel`; its thirds are equal parts of that. */
            heel: components["schemas"]["Millimetres"];
            /** @description Height of the blade at the heel. */
            heel_height: components["schemas"]["Millimetres"];
            /** @description Whole height. */
            height: components["schemas"]["Millimetres"];
            /** @description Hollows in the side, as a path; none where the side is plain. */
            hollows?: string | null;
            /** @description Rivets of a full tang: x and y of each. */
            rivets: number[][];
            /** @description Whole length, handle included. */
            width: components["schemas"]["Millimetres"];
        };
        /**
         * @description How a blade's length sits in a hand.
         * @enum {string}
         */
        Sits: "well" | "short" | "by_work" | "long" | "much_too_long";
        /** @description Sizes of one cut as a person writes them: `3.2`, `1/8 in`, `2-5`, `under 3`; empty for none. */
        SizeTexts: {
            /**
             * @description Length.
             * @default
             */
            length: string;
            /**
             * @description Thickness.
             * @default
             */
            thickness: string;
            /**
             * @description Width.
             * @default
             */
            width: string;
        };
        /**
         * @description The outside of a food, as the edge meets it.
         * @enum {string}
         */
        Skin: "plain" | "papery" | "slips" | "tough" | "rind" | "crust";
        /** @description A cut of a soft food. */
        SoftCut: {
            /** @description What is typed of a piece. */
            columns: string[];
            /** @description Id. */
            id: string;
            /** @description Name. */
            name: string;
        };
        /** @description A food on which it can be shown, with its cuts. */
        SoftFood: {
            /** @description Cuts that are taught on it and measured: id and name. */
            cuts: components["schemas"]["SoftCut"][];
            /** @description Id. */
            id: string;
            /** @description Name. */
            name: string;
        };
        /** @description How a food is sold, where that is neither by the piece nor by weight. */
        Sold: {
            /**
             * Format: double
             * @description Grams of one, 10 to 50000, and no less than one of the food.
             */
            grams: number;
            /** @description What it is sold as, e.g. `bag`, 1 to 30 characters. */
            pack: string;
        };
        /** @description A food as a body along x: x from its first end, y up and z across from its axis, all mm. */
        Solid: {
            /** @description Height along y. */
            height: components["schemas"]["Millimetres"];
            /** @description Length along x. */
            length: components["schemas"]["Millimetres"];
            /** @description Outline (y, z) of the section of an even body that is no box, in order; empty otherwise. */
            profile: number[][];
            /** @description Slices of a round body, from its first end; none of a straight-sided one. */
            rings: components["schemas"]["SolidRing"][];
            /** @description Cut off each end before the work. */
            trim: components["schemas"]["Millimetres"];
            /** @description Width along z. */
            width: components["schemas"]["Millimetres"];
        };
        /** @description Pieces side by side in a block, each as large as the next. */
        SolidBlock: {
            /** @description Lowest corner: x, y, z in mm. */
            at: number[];
            /** @description Pieces along x, y, z. */
            count: number[];
            /** @description One piece: along x, y, z in mm. */
            piece: number[];
            /**
             * Format: double
             * @description Degrees that its y and z are turned around the line along x through the corner, y towards z.
             */
            turn: number;
        };
        /** @description A slice of a round body. */
        SolidRing: {
            /**
             * Format: double
             * @description Place along the food from its first end, mm.
             */
            at: number;
            /**
             * Format: double
             * @description Full height there, mm.
             */
            height: number;
            /**
             * Format: double
             * @description Full width there, mm.
             */
            width: number;
        };
        /** @description What is said of a person who works here. */
        StaffFields: {
            /** @description Name, by which the person signs in; 1 to 60 characters, unlike all others here. */
            name: string;
            /** @description What may be changed. */
            role: components["schemas"]["Role"];
        };
        /** @description A person who works here. */
        StaffMember: {
            /** @description No longer works here. */
            archived: boolean;
            /**
             * Format: int64
             * @description Id.
             */
            id: number;
            /** @description Has a link that was not used yet. */
            invited: boolean;
            /** @description Name, by which the person signs in. */
            name: string;
            /** @description What may be changed. */
            role: components["schemas"]["Role"];
            /** @description Has a passphrase. */
            signs_in: boolean;
            /**
             * Format: int64
             * @description Grows with each change.
             */
            version: number;
        };
        /** @description Who works here. */
        StaffView: {
            /** @description Everybody who works or worked here, those who do first. */
            people: components["schemas"]["StaffMember"][];
            /** @description Browsers that are signed in: all of them for an instructor, the own ones for an assistant. */
            sessions: components["schemas"]["SignedIn"][];
            /** @description Somebody has a passphrase, so that all sign in. */
            signs_in: boolean;
        };
        /** @description A set of standards: a target for each cut it teaches. */
        StandardSet: {
            /** @description Targets by id of the cut. */
            cuts: {
                [key: string]: components["schemas"]["Target"];
            };
            /** @description Id. */
            id: string;
            /** @description Name. */
            name: string;
            /** @description Why a school would choose it. */
            why: string;
        };
        /** @description Where one student stands. */
        Standing: {
            /** @description What the evidence clears, by the ladder. */
            evidence_clears: components["schemas"]["Cleared"];
            /** @description What comes next for the student, over all strands. */
            next: components["schemas"]["NextStep"];
            /** @description The four rules, in the order of [`Strand::ALL`]. */
            strands: components["schemas"]["StrandRule"][];
        };
        /** @description Who starts with what. */
        Start: {
            /** Format: int64 */
            exercise_id: number;
            /** Format: int64 */
            knife_id: number;
            /** Format: int64 */
            student_id: number;
        };
        /** @description A course of a known kind, as it is started. */
        Started: {
            /**
             * Format: civil-time
             * @description When sessions begin, by the school's clock.
             */
            at: string;
            /**
             * Format: date
             * @description Day of the first session.
             */
            first: Day;
            /** @description Id of the kind. */
            kind: string;
            /** @description Knives by count; empty while they are not known: then it is planned on types. */
            knives: string;
            /** @description Names, one a line; may be empty. */
            names: string;
            newcomers?: components["schemas"]["Millimetres"] | null;
            /** @description The school's name. */
            school: string;
            /** @description Days on which there is no session; as many come after the last. */
            skip?: string[];
            /** @description Take the lines that are understood and leave the others. */
            skip_wrong?: boolean;
        };
        /** @description Starts attempts, several at once. */
        Starts: {
            /** @description 1 to 60, each student once. */
            starts: components["schemas"]["Start"][];
        };
        /** @description One station with its student. */
        Station: {
            /** @description Attempts of this lesson, the latest last; of what was measured, the latest of the shown exercise alone. */
            attempts: components["schemas"]["Attempt"][];
            /** @description The beat to cut to. */
            beat: components["schemas"]["Beat"];
            /** @description The course asks for a passed briefing before the first knife, and this student has none yet. */
            briefing_due: boolean;
            /** @description Ids of the knives that this student may be handed, the best for the exercise first. */
            knives: number[];
            running?: components["schemas"]["Attempt"] | null;
            stop?: components["schemas"]["Mark"] | null;
            /** @description The student. */
            student: components["schemas"]["Student"];
            /** @description The latest attempt has ended, and nothing was measured of it. */
            unmeasured: boolean;
            /** @description Why this student wants watching. */
            watch: components["schemas"]["WatchReason"][];
        };
        /** @description Where a station stands: its middle, from the left and from the front of the room, in thousandths of it. */
        StationPlace: {
            /**
             * Format: int32
             * @description The station's number.
             */
            station: number;
            /**
             * Format: int32
             * @description From the left, 0 to 1000.
             */
            x: number;
            /**
             * Format: int32
             * @description From the front, 0 to 1000.
             */
            y: number;
        };
        /**
         * @description What the blade is made of.
         * @enum {string}
         */
        Steel: "carbon" | "stainless" | "hard" | "ceramic";
        /**
         * @description Whether edges are kept with steel, stone or both.
         * @enum {string}
         */
        SteelOrStone: "both" | "steel" | "stone";
        /**
         * @description What the drawing shows at a step.
         * @enum {string}
         */
        StepShows: "whole" | "flat" | "halved" | "block" | "planks" | "sticks" | "pieces";
        /** @description Stops the attempts of students. */
        Stops: {
            /** @description 1 to 60. */
            student_ids: number[];
        };
        /** @description A stretch of the lesson as it is kept. */
        StoredSegment: {
            /**
             * Format: int64
             * @description Exercise that is practised in it; only for practice.
             */
            exercise_id?: number | null;
            /** @description Keeps its minutes when the lesson runs over. */
            fixed?: boolean;
            /** @description What it is for. */
            kind: components["schemas"]["SegmentKind"];
            /**
             * Format: int32
             * @description Minutes, 1 to 600.
             */
            minutes: number;
            /** @description What the instructor calls it in place of its kind, 1 to 40 characters. */
            own_name?: string | null;
        };
        /**
         * @description One of the four strands of progress.
         * @enum {string}
         */
        Strand: "chop" | "dice" | "julienne" | "slice";
        /** @description One strand's rule with its five places. */
        StrandRule: {
            /** @description Finished attempts so far. */
            attempts: number;
            /** @description Id of the cut last worked on. */
            cut?: string | null;
            /** @description What comes next in this strand. */
            next: components["schemas"]["NextStep"];
            /** @description Five notches, in order. */
            notches: components["schemas"]["Notch"][];
            /** @description Strand. */
            strand: components["schemas"]["Strand"];
        };
        /** @description A student as kept: a person in a course. */
        Student: components["schemas"]["StudentFields"] & {
            /** @description Left the course; the record is kept with its history. */
            archived: boolean;
            /**
             * Format: int64
             * @description Course.
             */
            course_id: number;
            /**
             * Format: int64
             * @description Id.
             */
            id: number;
            /**
             * Format: int64
             * @description The person, who may be in other courses too.
             */
            person_id: number;
            /**
             * Format: int64
             * @description Rises with each change.
             */
            version: number;
        };
        /** @description What a person edits of a student. */
        StudentFields: {
            /** @description Allergens by name, e.g. `celery`. */
            allergies: string[];
            /** @description Longest blade that the student is cleared for, 60 to 400 mm. */
            clearance: components["schemas"]["Millimetres"];
            /** @description Working hand. */
            hand: components["schemas"]["Hand"];
            /** @description Size of the hand. */
            hand_size: components["schemas"]["HandSize"];
            /** @description Name, 1 to 60 characters. */
            name: string;
            /** @description Anything else, up to 400 characters. */
            notes: string;
            /** @description Cleared for knives with a clearance of their own, and for blades beyond what length alone clears. */
            special_clearance?: boolean;
            /**
             * Format: int32
             * @description Station, 1 to 60.
             */
            station: number;
        };
        /** @description What one student cuts of an exercise. */
        StudentNeed: {
            /**
             * Format: int32
             * @description Pieces that are made of what an earlier exercise left.
             */
            fed: number;
            /**
             * Format: int32
             * @description Good ones among them, in nine of ten cases at least.
             */
            good: number;
            /** @description Name. */
            name: string;
            /**
             * Format: int32
             * @description Blind pieces that it is expected from; 0 where it is the class's share.
             */
            seen: number;
            /**
             * Format: double
             * @description Share that is expected to come out good, from the latest blind pieces of this cut.
             */
            share: number;
            /**
             * Format: int64
             * @description The student.
             */
            student_id: number;
            /**
             * Format: int32
             * @description Pieces to cut.
             */
            to_cut: number;
        };
        /** @description One student with all evidence. */
        StudentView: components["schemas"]["YardRow"] & {
            /** @description Attempts, the latest first. */
            attempts: components["schemas"]["Attempt"][];
            first_strand?: components["schemas"]["Strand"] | null;
            /** @description Incidents that the student was part of, the latest first. */
            incidents: components["schemas"]["Incident"][];
            /**
             * Format: double
             * @description Share of the pieces inside that must be proven for the True notch.
             */
            must_prove: number;
        };
        /**
         * @description What a change is of: a page reads again what hangs on it.
         * @enum {string}
         */
        Subject: "course" | "copies" | "staff" | "student" | "knife" | "lesson" | "attempt" | "incident" | "briefing" | "room" | "demonstration" | "check" | "rotation" | "count" | "run" | "own";
        /** @description One suggestion that another doctrine changes. */
        SuggestionChange: {
            /** @description The setup as it would be. */
            after: components["schemas"]["Text"];
            /** @description The setup as it is. */
            before: components["schemas"]["Text"];
            /** @description `Small dice of onion`. */
            title: string;
        };
        /** @description What was taken from a table. */
        TableTaken: {
            /** @description Knives that were added. */
            added: number;
            /** @description Rows that were left. */
            left: number;
        };
        /** @description A table of knives as text. */
        TableText: {
            /** @description Take the sound rows and leave the wrong ones. */
            skip_wrong?: boolean;
            /** @description Comma-separated text with a head. */
            text: string;
        };
        /** @description What is said when something that was kept is taken back. */
        TakeBack: {
            /** @description Who, 1 to 60 characters. */
            who: string;
            /** @description Why, 1 to 200 characters. */
            why: string;
        };
        /** @description People who are taken into a course. */
        TakenAlong: {
            /** @description Ids of people, up to 60. */
            people: number[];
        };
        /** @description Something that was kept by mistake, or twice, and was taken back. */
        TakenBack: components["schemas"]["TakeBack"] & {
            /**
             * Format: date-time
             * @description When.
             */
            at: Moment;
        };
        /**
         * @description The steel inside the handle.
         * @enum {string}
         */
        Tang: "full" | "partial";
        /** @description How much wider sticks are at one end. */
        TaperFigures: {
            /** @description Sticks measured at both ends. */
            count: number;
            /** @description Mean of far width − near width. */
            mean: components["schemas"]["Deviation"];
            /** @description Mean size of the difference, whichever end is wider. */
            mean_size: components["schemas"]["Millimetres"];
        };
        /** @description The target of a cut: which sides are held to a size. */
        Target: {
            length?: components["schemas"]["TargetSize"] | null;
            thickness?: components["schemas"]["TargetSize"] | null;
            width?: components["schemas"]["TargetSize"] | null;
        };
        /** @description What one side of a piece should measure. */
        TargetSize: {
            /** @enum {string} */
            kind: "exact";
            /** @description The size. */
            size: components["schemas"]["Millimetres"];
        } | {
            /** @description Smallest good size. */
            from: components["schemas"]["Millimetres"];
            /** @enum {string} */
            kind: "range";
            /** @description Largest good size. */
            to: components["schemas"]["Millimetres"];
        } | {
            /** @enum {string} */
            kind: "below";
            /** @description The limit; a piece of just this size is not below it. */
            limit: components["schemas"]["Millimetres"];
        };
        /**
         * @description A sentence, or several.
         *
         *     Read back from a plain text too, as sentences were kept before their lengths had a type.
         */
        Text: components["schemas"]["Part"][];
        /**
         * @description The part of the blade that does the work.
         * @enum {string}
         */
        Third: "tip" | "middle" | "heel" | "whole";
        /** @description A tick, or a tick taken back. */
        Ticking: {
            /** @description Id of the line. */
            item: string;
            /** @description `true` ticks it, `false` takes the tick back. */
            ticked: boolean;
            /** @description Who. */
            who: string;
        };
        /** @description A lesson on its rule. */
        TimeRule: {
            /**
             * Format: int32
             * @description Minutes of the lesson.
             */
            lesson_minutes: number;
            /**
             * Format: int32
             * @description Minutes past the end; 0 if it fits.
             */
            over: number;
            /** @description Index of the segment in which the time runs out. */
            over_in?: number | null;
            /** @description Segments in order. */
            segments: components["schemas"]["SegmentOnRule"][];
            /**
             * Format: int32
             * @description Minutes left; 0 if it is full.
             */
            spare: number;
            /**
             * Format: int32
             * @description Minutes of all segments.
             */
            total: number;
            /** @description Ways to make it fit, the gentlest first; none if it fits. */
            ways_out: components["schemas"]["WayOut"][];
            /** @description The state in one sentence. */
            words: string;
        };
        /**
         * @description The colour that a food is drawn in.
         * @enum {string}
         */
        Tint: "pale" | "orange" | "red" | "green" | "brown";
        /**
         * @description Whether the tip stays on the board.
         * @enum {string}
         */
        TipOnBoard: "by_profile" | "stays" | "lifts";
        /** @description A change that was made. */
        ToldChange: {
            /**
             * Format: date-time
             * @description When it happened.
             */
            at: Moment;
            /**
             * Format: int64
             * @description Id.
             */
            id: number;
            /** @description Who; empty where no name was told. */
            name: string;
            /** @description What it was done to, as it was called then; may be empty. */
            subject: string;
            /** @description What was done, in words. */
            words: string;
        };
        /** @description What a cut is on foods that have something. */
        ToldWith: {
            /** @description What the food has. */
            has: components["schemas"]["FoodTrait"];
            /** @description How it is done, in a sentence or two. */
            how: string;
            /** @description What it leaves, in a few words. */
            leaves: string;
        };
        /** @description A tolerance profile: a share of the target, but not under a floor. */
        Tolerance: {
            /**
             * Format: double
             * @description Largest coefficient of variation that counts as even.
             */
            even_cv: number;
            /** @description Least tolerance. */
            floor: components["schemas"]["Millimetres"];
            /** @description Id. */
            id: string;
            /** @description Name. */
            name: string;
            /**
             * Format: double
             * @description Share of the target, 0..1.
             */
            share: number;
        };
        /**
         * @description What cuts a tomato.
         * @enum {string}
         */
        TomatoEdge: "either" | "teeth" | "plain";
        /** @description What a touch came to. */
        TouchAnswer: {
            /** @description The attempts that it touched, as they are now. */
            attempts: components["schemas"]["Attempt"][];
            /** @description Who could not be started. */
            refused: components["schemas"]["RefusedStart"][];
        };
        /**
         * @description What a change of doctrine changes.
         * @enum {string}
         */
        Touches: "setup" | "care" | "kit" | "targets";
        /**
         * @description Whether a cut may go towards oneself.
         * @enum {string}
         */
        TowardsSelf: "paring_only" | "never";
        /** @description A point of the trade between evenness and strokes. */
        Trade: {
            /** @description Method that gives it. */
            method: components["schemas"]["Method"];
            /**
             * Format: int32
             * @description Strokes for a half.
             */
            strokes: number;
            /**
             * Format: double
             * @description Best share of wanted pieces in so many strokes.
             */
            wanted: number;
        };
        /** @description Doctrines that are tried before they are saved. */
        TriedDoctrines: {
            /** @description The doctrines. */
            doctrines: components["schemas"]["Doctrines"];
        };
        /** @description Names and knives while they are typed. */
        Typed: {
            /**
             * Format: date
             * @description Day of the first session; none while it is not said.
             */
            first?: Day | null;
            /** @description Id of the kind. */
            kind: string;
            /** @description Knives by count. */
            knives: string;
            /** @description Names, one a line. */
            names: string;
            /** @description Days on which there is no session. */
            skip?: string[];
        };
        /** @description Pieces as typed. */
        TypedSample: {
            /** @description How they were chosen. */
            custom: components["schemas"]["SampleCustom"];
            /** @description Whether they lie in the order they were cut. */
            order?: components["schemas"]["PieceOrder"];
            /** @description One piece a line. */
            text: string;
        };
        /** @description A cut that no knife covers. */
        Uncovered: {
            /** @description Index of the cut among those to cover. */
            job: number;
            nearest?: components["schemas"]["Nearest"] | null;
        };
        /** @description Names and knives as they are understood. */
        Understood: {
            /** @description Days of the sessions. */
            days: string[];
            /** @description The knives. */
            knives: components["schemas"]["KnifeList"];
            /** @description The class list. */
            names: components["schemas"]["Roster"];
        };
        /** @description Takes a touch back. */
        Undo: {
            /** @description The Idempotency-Key that the touch was sent with. */
            touch: string;
        };
        /** @description What a sample shows. */
        Verdict: {
            /**
             * Format: double
             * @description Largest |bias| / τ of thickness and width.
             */
            bias_share: number;
            /** @description Which fault in the chain explains them best; nothing in verdicts of before it was weighed. */
            causes?: components["schemas"]["Causes"];
            /** @description How the sample was chosen. */
            custom: components["schemas"]["SampleCustom"];
            /**
             * Format: double
             * @description CV of the governing side; none for one piece.
             */
            cv?: number | null;
            /** @description Whether the governing side is even enough to cook alike. */
            even: boolean;
            flattery?: components["schemas"]["Flattery"] | null;
            governing?: components["schemas"]["Dimension"] | null;
            /** @description Pieces whose every measured side with a target is inside. */
            inside: components["schemas"]["InsideShare"];
            off_square?: components["schemas"]["Millimetres"] | null;
            /** @description In which order the pieces were measured. */
            order?: components["schemas"]["PieceOrder"];
            /** @description For each piece, whether it is inside. */
            piece_inside: boolean[];
            /** @description What the figures say, the most telling first. */
            says: components["schemas"]["Diagnosis"][];
            /** @description Figures of each side that was measured and has a target. */
            sides: components["schemas"]["SideFigures"][];
            taper?: components["schemas"]["TaperFigures"] | null;
        };
        /**
         * @description What a student does who has no turn in a round.
         * @enum {string}
         */
        WaitingWith: "comes_later" | "preparing" | "dry_drill" | "washing_up";
        /** @description A caution as it is read from far. */
        WallCaution: {
            /** @description The rest. */
            text: components["schemas"]["Text"];
            /** @description First words. */
            title: components["schemas"]["Text"];
        };
        /** @description A step of the cut. */
        WallStep: {
            size?: components["schemas"]["Millimetres"] | null;
            /** @description What is done. */
            title: string;
        };
        /** @description What the wall shows of a class. */
        WallView: {
            /** @description Three at most, the gravest first. */
            cautions: components["schemas"]["WallCaution"][];
            /** @description The limits of the advice, in words. */
            disclaimer: string;
            /** @description The exercise that most work at, else the one that comes next; none where the lesson has none. */
            exercise?: string | null;
            /**
             * Format: int64
             * @description Its id.
             */
            exercise_id?: number | null;
            /** @description Title of the lesson. */
            lesson: string;
            /**
             * Format: int32
             * @description Round of the rotation that is on, or comes next; none where none was announced or all are over.
             */
            round?: number | null;
            /**
             * Format: int32
             * @description Rounds that were announced.
             */
            rounds: number;
            /** @description Knife, grip, hold, motion and part of the blade. */
            setup: string;
            /** @description Steps in order. */
            steps: components["schemas"]["WallStep"][];
            /** @description Its sizes. */
            target: components["schemas"]["Target"];
        };
        /** @description The size that is wanted, and of what. */
        WantedDice: {
            /**
             * Format: int32
             * @description Layers.
             */
            layers: number;
            length?: components["schemas"]["Millimetres"] | null;
            /** @description Radius of the onion. */
            radius: components["schemas"]["Millimetres"];
            /** @description Edge of the wanted dice: the cells should have its square, and crosscuts are as far apart. */
            size: components["schemas"]["Millimetres"];
        };
        /** @description Grams cut off, for the students' share. */
        WasteFigures: {
            /** @description What it becomes, e.g. `stock`. */
            becomes: string;
            /**
             * Format: double
             * @description Ends.
             */
            ends_grams: number;
            /**
             * Format: double
             * @description Squared-off sides, cores, crumbs, tails and blocks too thin.
             */
            squaring_grams: number;
        };
        /** @description People who watch hands at work. */
        Watchers: {
            /**
             * Format: int32
             * @description Students with a knife in hand whom each may watch, 1 to 60.
             */
            each: number;
            /**
             * Format: int32
             * @description How many, 0 to 20.
             */
            people: number;
        };
        /**
         * @description Why a student wants watching; the gravest first.
         * @enum {string}
         */
        WatchKind: "safe_first" | "first_length" | "allergy" | "shorter_knife";
        /** @description A student to look at now. */
        WatchNow: {
            /** @description Paused after a Stop fault. */
            stopped: boolean;
            /**
             * Format: int64
             * @description The student.
             */
            student_id: number;
            /** @description Why, in a few words. */
            words: components["schemas"]["Text"];
        };
        /** @description A reason to watch a student. */
        WatchReason: {
            /** @description Which. */
            kind: components["schemas"]["WatchKind"];
            /** @description In a few words. */
            words: components["schemas"]["Text"];
        };
        /**
         * @description A way of working a food into sticks and dice.
         * @enum {string}
         */
        Way: "squared" | "flat_first";
        /** @description A grip, hold or motion in plain words. */
        Way_Grip: {
            /** @description How it is done. */
            how: string;
            /**
             * @description Name and how it is done.
             *     Name.
             */
            name: string;
            /**
             * @description How the knife hand holds the knife.
             * @enum {string}
             */
            value: "pinch" | "handle" | "index_on_spine" | "choked_back" | "paring" | "spine_top" | "boning_fist";
        };
        /** @description A grip, hold or motion in plain words. */
        Way_Hold: {
            /** @description How it is done. */
            how: string;
            /**
             * @description Name and how it is done.
             *     Name.
             */
            name: string;
            /**
             * @description How the guide hand holds the food.
             * @enum {string}
             */
            value: "claw" | "bridge" | "flat_palm" | "spine_top" | "in_hand" | "end_rest" | "fork";
        };
        /** @description A grip, hold or motion in plain words. */
        Way_Motion: {
            /** @description How it is done. */
            how: string;
            /**
             * @description Name and how it is done.
             *     Name.
             */
            name: string;
            /**
             * @description How the edge moves.
             * @enum {string}
             */
            value: "rock" | "push" | "pull" | "tap" | "saw" | "long_draw" | "pivot_mince" | "press" | "in_hand_pull" | "crush" | "peel_stroke" | "pierce" | "score" | "snip";
        };
        /** @description A change that makes the lesson fit. */
        WayOut: {
            /** @description Exercises of which each student cuts less. */
            fewer: components["schemas"]["FewerOf"][];
            /** @description Exercises that are left out, by id. */
            leave_out: number[];
            /** @description Why that can go, or what it costs. */
            reason: string;
            /** @description The segments after the change, in order. */
            segments: components["schemas"]["StoredSegment"][];
            /** @description The change in one sentence. */
            words: string;
        };
        /** @description A change that would reach a goal, in words. */
        WayToGoal: {
            /** @description The change. */
            change: components["schemas"]["Remedy"];
            /** @description In words. */
            words: components["schemas"]["Text"];
        };
        /** @description Wear since the edge was last ground. */
        Wear: {
            /**
             * Format: double
             * @description Board minutes in class: minutes × firmness × board.
             */
            board_minutes: number;
            /**
             * Format: double
             * @description Board minutes that bad habits count for.
             */
            habit_minutes: number;
        };
        /** @description Who uses this browser. */
        WhoIsHere: {
            /** @description Name; empty while none was chosen on a device where nobody signs in. */
            name: string;
            /** @description What may be changed. */
            role: components["schemas"]["Role"];
            /**
             * Format: int64
             * @description Id, if signed in; otherwise nobody signs in here.
             */
            staff_id?: number | null;
        };
        /**
         * @description Work that a type of knife is made for, as far as it decides which knife leads.
         * @enum {string}
         */
        Work: "produce" | "hard_whole" | "fine" | "turning" | "peeling" | "bread" | "cake" | "cheese" | "crushing" | "fish_slices" | "fish_bone" | "skinning" | "meat" | "meat_trim" | "fish_trim" | "bone" | "carving" | "snipping";
        /** @description One student of the yard. */
        YardRow: {
            /**
             * Format: date
             * @description Day of the latest attempt.
             */
            last_seen?: Day | null;
            /** @description Notches and what comes next. */
            standing: components["schemas"]["Standing"];
            /** @description The student. */
            student: components["schemas"]["Student"];
        };
    };
    responses: never;
    parameters: never;
    requestBodies: never;
    headers: never;
    pathItems: never;
}
export type $defs = Record<string, never>;
export interface operations {
    about: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["About"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    class_judge_pieces: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["TypedSample"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Judged"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    class_add_sample: {
        parameters: {
            query?: never;
            header?: {
                /** @description When it happened on the device; now, if left out. Within the past seven days. */
                "happened-at"?: Moment;
                /** @description Made by the device, unlike all others: the same write sent again is kept once. */
                "idempotency-key"?: string;
            };
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["TypedSample"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Attempt"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description The disk is full; nothing was kept. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    bench_onion: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["OnionQuestion"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OnionView"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    bench_onions_beside: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["OnionsQuestion"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OnionsBeside"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    bench_choose: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ChooseForMe"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["RankedMethods"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    class_draw: {
        parameters: {
            query: {
                /** @description Pieces that lie in the row, 1 to 500. */
                of: number;
                /** @description So that one draw is not like another. */
                seed: number;
            };
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": number[];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    calendar_subscribed: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                secret: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "text/calendar": string;
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    catalogue: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CatalogueView"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    changes_show: {
        parameters: {
            query?: {
                /** @description Those before the change with this id. */
                before?: number;
                /** @description Those of one person. */
                by?: number;
            };
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ChangesView"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    copies_show: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CopiesView"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    copies_make: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CopiesView"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    copies_keep: {
        parameters: {
            query?: never;
            header?: {
                /** @description When it happened on the device; now, if left out. Within the past seven days. */
                "happened-at"?: Moment;
                /** @description Made by the device, unlike all others: the same write sent again is kept once. */
                "idempotency-key"?: string;
            };
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["KeepCopies"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["KeepCopies"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description The disk is full; nothing was kept. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    course_file_take: {
        parameters: {
            query?: never;
            header?: {
                /** @description When it happened on the device; now, if left out. Within the past seven days. */
                "happened-at"?: Moment;
                /** @description Made by the device, unlike all others: the same write sent again is kept once. */
                "idempotency-key"?: string;
            };
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["CourseFile"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Course"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description The disk is full; nothing was kept. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    course_file_read: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["CourseFile"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["FileContents"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    courses_list: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Course"][];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    courses_add: {
        parameters: {
            query?: never;
            header?: {
                /** @description When it happened on the device; now, if left out. Within the past seven days. */
                "happened-at"?: Moment;
                /** @description Made by the device, unlike all others: the same write sent again is kept once. */
                "idempotency-key"?: string;
            };
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["CourseFields"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Course"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description The disk is full; nothing was kept. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    courses_show: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CourseView"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    courses_change: {
        parameters: {
            query?: never;
            header?: {
                /** @description When it happened on the device; now, if left out. Within the past seven days. */
                "happened-at"?: Moment;
                /** @description Made by the device, unlike all others: the same write sent again is kept once. */
                "idempotency-key"?: string;
            };
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["Change_CourseFields"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Course"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description The disk is full; nothing was kept. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    plan_advice: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["AdviceChoice"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Advice"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    bench_cut: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["BenchQuestion"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["BenchView"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    bench_beside: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["BesideQuestion"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Beside"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    courses_calendar: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "text/calendar": string;
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    courses_calendar_address: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CalendarAddress"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    courses_share_calendar: {
        parameters: {
            query?: never;
            header?: {
                /** @description When it happened on the device; now, if left out. Within the past seven days. */
                "happened-at"?: Moment;
                /** @description Made by the device, unlike all others: the same write sent again is kept once. */
                "idempotency-key"?: string;
            };
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["CalendarShared"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CalendarAddress"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description The disk is full; nothing was kept. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    playbook_choose_doctrines: {
        parameters: {
            query?: never;
            header?: {
                /** @description When it happened on the device; now, if left out. Within the past seven days. */
                "happened-at"?: Moment;
                /** @description Made by the device, unlike all others: the same write sent again is kept once. */
                "idempotency-key"?: string;
            };
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ChosenDoctrines"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Course"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description The disk is full; nothing was kept. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    playbook_try_doctrines: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["TriedDoctrines"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["DoctrineChanges"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    course_file_write: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CourseFile"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    playbook_kit_options: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["KitOptions"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    playbook_kit: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["KitQuestion"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["KitAnswer"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    plan_add_lesson: {
        parameters: {
            query?: never;
            header?: {
                /** @description When it happened on the device; now, if left out. Within the past seven days. */
                "happened-at"?: Moment;
                /** @description Made by the device, unlike all others: the same write sent again is kept once. */
                "idempotency-key"?: string;
            };
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["NewLesson"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["PlanView"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description The disk is full; nothing was kept. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    order_show: {
        parameters: {
            query?: {
                /** @description First day of the lessons; today where none is given. */
                from?: string;
                /** @description Last day; the end of the course where none is given. */
                until?: string;
            };
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CourseOrder"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    order_table: {
        parameters: {
            query?: {
                /** @description First day of the lessons; today where none is given. */
                from?: string;
                /** @description Last day; the end of the course where none is given. */
                until?: string;
            };
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "text/csv": string;
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    courses_take_along: {
        parameters: {
            query?: never;
            header?: {
                /** @description When it happened on the device; now, if left out. Within the past seven days. */
                "happened-at"?: Moment;
                /** @description Made by the device, unlike all others: the same write sent again is kept once. */
                "idempotency-key"?: string;
            };
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["TakenAlong"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["RosterTaken"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description The disk is full; nothing was kept. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    course_plan_show: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CoursePlan"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    course_plan_keep: {
        parameters: {
            query?: never;
            header?: {
                /** @description When it happened on the device; now, if left out. Within the past seven days. */
                "happened-at"?: Moment;
                /** @description Made by the device, unlike all others: the same write sent again is kept once. */
                "idempotency-key"?: string;
            };
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["KeptPlan"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CoursePlan"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description The disk is full; nothing was kept. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    course_plan_try: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["PlanQuestion"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CoursePlan"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    playbook_matrix: {
        parameters: {
            query?: {
                /** @description Id of the food; any if it is left out. */
                food?: string;
                /** @description `rack` or `types`. */
                knives?: components["schemas"]["KnifeSource"];
                /** @description With the cuts that are odd for the food. */
                odd?: boolean;
                /** @description Id of a student of the course, for whose hand and clearance the knives are judged. */
                student?: number;
            };
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Matrix"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    playbook_preparation: {
        parameters: {
            query: {
                /** @description Id of the cut that it leads to. */
                cut: string;
                /** @description Id of the food. */
                food: string;
                /** @description `rack` or `types`. */
                knives?: components["schemas"]["KnifeSource"];
                /** @description Id of a student of the course, for whose hand and clearance the knives are judged. */
                student?: number;
            };
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Preparation"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    rack_bought: {
        parameters: {
            query?: never;
            header?: {
                /** @description When it happened on the device; now, if left out. Within the past seven days. */
                "happened-at"?: Moment;
                /** @description Made by the device, unlike all others: the same write sent again is kept once. */
                "idempotency-key"?: string;
            };
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["BoughtKnife"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Knife"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description The disk is full; nothing was kept. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    rack_inspect: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["InspectionQuestion"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["InspectionView"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    room_keep: {
        parameters: {
            query?: never;
            header?: {
                /** @description When it happened on the device; now, if left out. Within the past seven days. */
                "happened-at"?: Moment;
                /** @description Made by the device, unlike all others: the same write sent again is kept once. */
                "idempotency-key"?: string;
            };
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["Room"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Room"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description The disk is full; nothing was kept. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    courses_roster: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "text/csv": string;
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    courses_take_roster: {
        parameters: {
            query?: never;
            header?: {
                /** @description When it happened on the device; now, if left out. Within the past seven days. */
                "happened-at"?: Moment;
                /** @description Made by the device, unlike all others: the same write sent again is kept once. */
                "idempotency-key"?: string;
            };
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["RosterText"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["RosterTaken"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description The disk is full; nothing was kept. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    courses_read_roster: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["RosterText"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Roster"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    course_plan_add_sessions: {
        parameters: {
            query?: never;
            header?: {
                /** @description When it happened on the device; now, if left out. Within the past seven days. */
                "happened-at"?: Moment;
                /** @description Made by the device, unlike all others: the same write sent again is kept once. */
                "idempotency-key"?: string;
            };
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["SessionsRule"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CoursePlan"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description The disk is full; nothing was kept. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    courses_add_student: {
        parameters: {
            query?: never;
            header?: {
                /** @description When it happened on the device; now, if left out. Within the past seven days. */
                "happened-at"?: Moment;
                /** @description Made by the device, unlike all others: the same write sent again is kept once. */
                "idempotency-key"?: string;
            };
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["StudentFields"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Student"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description The disk is full; nothing was kept. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    yard_show: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["YardRow"][];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    sharp_dull_take_back: {
        parameters: {
            query?: never;
            header?: {
                /** @description When it happened on the device; now, if left out. Within the past seven days. */
                "happened-at"?: Moment;
                /** @description Made by the device, unlike all others: the same write sent again is kept once. */
                "idempotency-key"?: string;
            };
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["TakeBack"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["SharpDullLesson"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description The disk is full; nothing was kept. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    plan_change_exercise: {
        parameters: {
            query?: never;
            header?: {
                /** @description When it happened on the device; now, if left out. Within the past seven days. */
                "happened-at"?: Moment;
                /** @description Made by the device, unlike all others: the same write sent again is kept once. */
                "idempotency-key"?: string;
            };
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["Change_ExerciseFields"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["PlanView"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description The disk is full; nothing was kept. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    plan_archive_exercise: {
        parameters: {
            query?: never;
            header?: {
                /** @description When it happened on the device; now, if left out. Within the past seven days. */
                "happened-at"?: Moment;
                /** @description Made by the device, unlike all others: the same write sent again is kept once. */
                "idempotency-key"?: string;
            };
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["Archive"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["PlanView"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description The disk is full; nothing was kept. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    class_take_incident_back: {
        parameters: {
            query?: never;
            header?: {
                /** @description When it happened on the device; now, if left out. Within the past seven days. */
                "happened-at"?: Moment;
                /** @description Made by the device, unlike all others: the same write sent again is kept once. */
                "idempotency-key"?: string;
            };
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["TakeBack"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Incident"][];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description The disk is full; nothing was kept. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    invited: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                secret: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Invited"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    join: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                secret: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["Join"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    plan_change_lesson: {
        parameters: {
            query?: never;
            header?: {
                /** @description When it happened on the device; now, if left out. Within the past seven days. */
                "happened-at"?: Moment;
                /** @description Made by the device, unlike all others: the same write sent again is kept once. */
                "idempotency-key"?: string;
            };
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["Change_LessonFields"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["PlanView"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description The disk is full; nothing was kept. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    ask_look: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["AskRound"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["AskView"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    class_start: {
        parameters: {
            query?: never;
            header?: {
                /** @description When it happened on the device; now, if left out. Within the past seven days. */
                "happened-at"?: Moment;
                /** @description Made by the device, unlike all others: the same write sent again is kept once. */
                "idempotency-key"?: string;
            };
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["Starts"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["TouchAnswer"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description The disk is full; nothing was kept. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    ask_keep: {
        parameters: {
            query?: never;
            header?: {
                /** @description When it happened on the device; now, if left out. Within the past seven days. */
                "happened-at"?: Moment;
                /** @description Made by the device, unlike all others: the same write sent again is kept once. */
                "idempotency-key"?: string;
            };
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["AskRound"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Briefing"][];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description The disk is full; nothing was kept. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    check_show: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CheckSheet"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    check_tick: {
        parameters: {
            query?: never;
            header?: {
                /** @description When it happened on the device; now, if left out. Within the past seven days. */
                "happened-at"?: Moment;
                /** @description Made by the device, unlike all others: the same write sent again is kept once. */
                "idempotency-key"?: string;
            };
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["Ticking"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CheckSheet"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description The disk is full; nothing was kept. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    class_show: {
        parameters: {
            query?: {
                /** @description Id of the exercise; the first of the lesson if it is left out. */
                exercise?: number;
            };
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ClassView"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    count_close: {
        parameters: {
            query?: never;
            header?: {
                /** @description When it happened on the device; now, if left out. Within the past seven days. */
                "happened-at"?: Moment;
                /** @description Made by the device, unlike all others: the same write sent again is kept once. */
                "idempotency-key"?: string;
            };
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["CloseClass"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["KnifeCount"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description The disk is full; nothing was kept. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    closing_show: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ClosingView"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    count_show: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["KnifeCount"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    count_knives: {
        parameters: {
            query?: never;
            header?: {
                /** @description When it happened on the device; now, if left out. Within the past seven days. */
                "happened-at"?: Moment;
                /** @description Made by the device, unlike all others: the same write sent again is kept once. */
                "idempotency-key"?: string;
            };
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["Counting"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["KnifeCount"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description The disk is full; nothing was kept. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    class_drawings: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ClassDrawings"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    plan_add_exercise: {
        parameters: {
            query?: never;
            header?: {
                /** @description When it happened on the device; now, if left out. Within the past seven days. */
                "happened-at"?: Moment;
                /** @description Made by the device, unlike all others: the same write sent again is kept once. */
                "idempotency-key"?: string;
            };
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ExerciseFields"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["PlanView"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description The disk is full; nothing was kept. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    class_add_incident: {
        parameters: {
            query?: never;
            header?: {
                /** @description When it happened on the device; now, if left out. Within the past seven days. */
                "happened-at"?: Moment;
                /** @description Made by the device, unlike all others: the same write sent again is kept once. */
                "idempotency-key"?: string;
            };
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["IncidentFields"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Incident"][];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description The disk is full; nothing was kept. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    class_mark: {
        parameters: {
            query?: never;
            header?: {
                /** @description When it happened on the device; now, if left out. Within the past seven days. */
                "happened-at"?: Moment;
                /** @description Made by the device, unlike all others: the same write sent again is kept once. */
                "idempotency-key"?: string;
            };
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["NewMark"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["TouchAnswer"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description The disk is full; nothing was kept. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    paper_show: {
        parameters: {
            query?: {
                /** @description What is printed; the lesson on one page where nothing is said. */
                page?: "lesson" | "stations" | "rotation" | "order" | "count" | "practice" | "whole";
                /** @description Size of the paper; A4 where nothing is said. */
                paper?: "a4" | "letter";
            };
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Pages"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    paper_pdf: {
        parameters: {
            query?: {
                /** @description What is printed; the lesson on one page where nothing is said. */
                page?: "lesson" | "stations" | "rotation" | "order" | "count" | "practice" | "whole";
                /** @description Size of the paper; A4 where nothing is said. */
                paper?: "a4" | "letter";
            };
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/pdf": number[];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    paper_svg: {
        parameters: {
            query?: {
                /** @description Which page, from 1; the first where nothing is said. */
                number?: number;
                /** @description What is printed; the lesson on one page where nothing is said. */
                page?: "lesson" | "stations" | "rotation" | "order" | "count" | "practice" | "whole";
                /** @description Size of the paper; A4 where nothing is said. */
                paper?: "a4" | "letter";
            };
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "image/svg+xml": string;
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    plan_show: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["PlanView"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    produce_show: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ProduceView"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    produce_keep: {
        parameters: {
            query?: never;
            header?: {
                /** @description When it happened on the device; now, if left out. Within the past seven days. */
                "happened-at"?: Moment;
                /** @description Made by the device, unlike all others: the same write sent again is kept once. */
                "idempotency-key"?: string;
            };
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["Change_ProduceFields"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ProduceView"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description The disk is full; nothing was kept. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    produce_look: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ProduceFields"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ProduceView"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    ready_show: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ReadyView"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    rotation_show: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["RotationView"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    rotation_announce: {
        parameters: {
            query?: never;
            header?: {
                /** @description When it happened on the device; now, if left out. Within the past seven days. */
                "happened-at"?: Moment;
                /** @description Made by the device, unlike all others: the same write sent again is kept once. */
                "idempotency-key"?: string;
            };
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["Change_RotationFields"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["RotationView"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description The disk is full; nothing was kept. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    rotation_look: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["RotationFields"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["RotationView"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    rotation_table: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "text/csv": string;
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    run_show: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["RunView"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    run_step: {
        parameters: {
            query?: never;
            header?: {
                /** @description When it happened on the device; now, if left out. Within the past seven days. */
                "happened-at"?: Moment;
                /** @description Made by the device, unlike all others: the same write sent again is kept once. */
                "idempotency-key"?: string;
            };
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["RunStep"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["RunView"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description The disk is full; nothing was kept. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    sharp_dull_show: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["SharpDullLesson"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    sharp_dull_keep: {
        parameters: {
            query?: never;
            header?: {
                /** @description When it happened on the device; now, if left out. Within the past seven days. */
                "happened-at"?: Moment;
                /** @description Made by the device, unlike all others: the same write sent again is kept once. */
                "idempotency-key"?: string;
            };
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["DemonstrationFields"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["SharpDullLesson"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description The disk is full; nothing was kept. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    sharp_dull_look: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["DemonstrationFields"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["SharpDullView"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    class_stop: {
        parameters: {
            query?: never;
            header?: {
                /** @description When it happened on the device; now, if left out. Within the past seven days. */
                "happened-at"?: Moment;
                /** @description Made by the device, unlike all others: the same write sent again is kept once. */
                "idempotency-key"?: string;
            };
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["Stops"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["TouchAnswer"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description The disk is full; nothing was kept. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    plan_keep_time_rule: {
        parameters: {
            query?: never;
            header?: {
                /** @description When it happened on the device; now, if left out. Within the past seven days. */
                "happened-at"?: Moment;
                /** @description Made by the device, unlike all others: the same write sent again is kept once. */
                "idempotency-key"?: string;
            };
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["Change_DraftSegments"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["PlanView"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description The disk is full; nothing was kept. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    plan_time_rule: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["DraftSegments"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["TimeRule"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    class_undo: {
        parameters: {
            query?: never;
            header?: {
                /** @description When it happened on the device; now, if left out. Within the past seven days. */
                "happened-at"?: Moment;
                /** @description Made by the device, unlike all others: the same write sent again is kept once. */
                "idempotency-key"?: string;
            };
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["Undo"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["TouchAnswer"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description The disk is full; nothing was kept. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    wall_show: {
        parameters: {
            query?: {
                /** @description Id of the exercise; the first of the lesson if it is left out. */
                exercise?: number;
            };
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["WallView"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    live: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "text/event-stream": components["schemas"]["LiveChange"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    made_up_open: {
        parameters: {
            query?: never;
            header?: {
                /** @description When it happened on the device; now, if left out. Within the past seven days. */
                "happened-at"?: Moment;
                /** @description Made by the device, unlike all others: the same write sent again is kept once. */
                "idempotency-key"?: string;
            };
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description The disk is full; nothing was kept. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    made_up_leave: {
        parameters: {
            query?: never;
            header?: {
                /** @description When it happened on the device; now, if left out. Within the past seven days. */
                "happened-at"?: Moment;
                /** @description Made by the device, unlike all others: the same write sent again is kept once. */
                "idempotency-key"?: string;
            };
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description The disk is full; nothing was kept. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    class_correct_mark: {
        parameters: {
            query?: never;
            header?: {
                /** @description When it happened on the device; now, if left out. Within the past seven days. */
                "happened-at"?: Moment;
                /** @description Made by the device, unlike all others: the same write sent again is kept once. */
                "idempotency-key"?: string;
            };
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["CorrectMark"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["TouchAnswer"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description The disk is full; nothing was kept. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    name_here: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["NameHere"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    passphrase_change: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["NewPassphrase"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    own_list: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OwnView"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    own_keep: {
        parameters: {
            query?: never;
            header?: {
                /** @description When it happened on the device; now, if left out. Within the past seven days. */
                "happened-at"?: Moment;
                /** @description Made by the device, unlike all others: the same write sent again is kept once. */
                "idempotency-key"?: string;
            };
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["KeepOwn"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OwnView"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description The disk is full; nothing was kept. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    own_drop: {
        parameters: {
            query?: never;
            header?: {
                /** @description When it happened on the device; now, if left out. Within the past seven days. */
                "happened-at"?: Moment;
                /** @description Made by the device, unlike all others: the same write sent again is kept once. */
                "idempotency-key"?: string;
            };
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["DropOwn"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OwnView"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description The disk is full; nothing was kept. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    people_list: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Person"][];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    rack_list: {
        parameters: {
            query?: {
                /** @description Course whose doctrines and time zone count; our defaults if it is left out. */
                course?: number;
                /** @description Working hand, `right` or `left`. */
                hand?: components["schemas"]["Hand"];
                /** @description Length of a hand in mm, 110 to 250, to order by comfort. */
                hand_length?: number;
            };
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["RackView"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    rack_add: {
        parameters: {
            query?: never;
            header?: {
                /** @description When it happened on the device; now, if left out. Within the past seven days. */
                "happened-at"?: Moment;
                /** @description Made by the device, unlike all others: the same write sent again is kept once. */
                "idempotency-key"?: string;
            };
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["KnifeFields"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Knife"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description The disk is full; nothing was kept. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    rack_change: {
        parameters: {
            query?: never;
            header?: {
                /** @description When it happened on the device; now, if left out. Within the past seven days. */
                "happened-at"?: Moment;
                /** @description Made by the device, unlike all others: the same write sent again is kept once. */
                "idempotency-key"?: string;
            };
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["Change_KnifeFields"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Knife"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description The disk is full; nothing was kept. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    rack_archive: {
        parameters: {
            query?: never;
            header?: {
                /** @description When it happened on the device; now, if left out. Within the past seven days. */
                "happened-at"?: Moment;
                /** @description Made by the device, unlike all others: the same write sent again is kept once. */
                "idempotency-key"?: string;
            };
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["Archive"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Knife"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description The disk is full; nothing was kept. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    care_show: {
        parameters: {
            query?: {
                /** @description Course whose doctrines and time zone count; our defaults if it is left out. */
                course?: number;
                /** @description Angle to find on the stone, degrees per side; the knife's own if it is left out. */
                degrees?: number;
                /** @description Id of a food to lay against the blade. */
                food?: string;
                /** @description Thickness of the spine in mm, 0 to 10; 2 if it is left out. */
                spine?: number;
            };
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["KnifeCare"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    care_add: {
        parameters: {
            query?: never;
            header?: {
                /** @description When it happened on the device; now, if left out. Within the past seven days. */
                "happened-at"?: Moment;
                /** @description Made by the device, unlike all others: the same write sent again is kept once. */
                "idempotency-key"?: string;
            };
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["NewCare"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CareTaken"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description The disk is full; nothing was kept. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    rack_take_list: {
        parameters: {
            query?: never;
            header?: {
                /** @description When it happened on the device; now, if left out. Within the past seven days. */
                "happened-at"?: Moment;
                /** @description Made by the device, unlike all others: the same write sent again is kept once. */
                "idempotency-key"?: string;
            };
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["TableText"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["TableTaken"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description The disk is full; nothing was kept. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    rack_read_list: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["TableText"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["KnifeList"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    rack_add_many: {
        parameters: {
            query?: never;
            header?: {
                /** @description When it happened on the device; now, if left out. Within the past seven days. */
                "happened-at"?: Moment;
                /** @description Made by the device, unlike all others: the same write sent again is kept once. */
                "idempotency-key"?: string;
            };
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ManyKnives"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Knife"][];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description The disk is full; nothing was kept. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    rack_table: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "text/csv": string;
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    rack_take_table: {
        parameters: {
            query?: never;
            header?: {
                /** @description When it happened on the device; now, if left out. Within the past seven days. */
                "happened-at"?: Moment;
                /** @description Made by the device, unlike all others: the same write sent again is kept once. */
                "idempotency-key"?: string;
            };
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["TableText"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["TableTaken"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description The disk is full; nothing was kept. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    rack_read_table: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["TableText"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["KnifeTable"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    run_undo: {
        parameters: {
            query?: never;
            header?: {
                /** @description When it happened on the device; now, if left out. Within the past seven days. */
                "happened-at"?: Moment;
                /** @description Made by the device, unlike all others: the same write sent again is kept once. */
                "idempotency-key"?: string;
            };
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["RunView"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description The disk is full; nothing was kept. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    class_beside: {
        parameters: {
            query: {
                /** @description Id of the sample. */
                other: number;
            };
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["SamplesBeside"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    class_take_sample_back: {
        parameters: {
            query?: never;
            header?: {
                /** @description When it happened on the device; now, if left out. Within the past seven days. */
                "happened-at"?: Moment;
                /** @description Made by the device, unlike all others: the same write sent again is kept once. */
                "idempotency-key"?: string;
            };
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["TakeBack"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Attempt"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description The disk is full; nothing was kept. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    session_end: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    sign_in: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["SignIn"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    sign_out: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    staff_show: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["StaffView"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    staff_add: {
        parameters: {
            query?: never;
            header?: {
                /** @description When it happened on the device; now, if left out. Within the past seven days. */
                "happened-at"?: Moment;
                /** @description Made by the device, unlike all others: the same write sent again is kept once. */
                "idempotency-key"?: string;
            };
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["StaffFields"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["StaffMember"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description The disk is full; nothing was kept. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    staff_change: {
        parameters: {
            query?: never;
            header?: {
                /** @description When it happened on the device; now, if left out. Within the past seven days. */
                "happened-at"?: Moment;
                /** @description Made by the device, unlike all others: the same write sent again is kept once. */
                "idempotency-key"?: string;
            };
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["Change_StaffFields"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["StaffMember"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description The disk is full; nothing was kept. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    staff_archive: {
        parameters: {
            query?: never;
            header?: {
                /** @description When it happened on the device; now, if left out. Within the past seven days. */
                "happened-at"?: Moment;
                /** @description Made by the device, unlike all others: the same write sent again is kept once. */
                "idempotency-key"?: string;
            };
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["Archive"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["StaffMember"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description The disk is full; nothing was kept. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    staff_invite: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Invitation"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    staff_begin: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["FirstSignIn"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    start_doors: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Doors"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    start_course: {
        parameters: {
            query?: never;
            header?: {
                /** @description When it happened on the device; now, if left out. Within the past seven days. */
                "happened-at"?: Moment;
                /** @description Made by the device, unlike all others: the same write sent again is kept once. */
                "idempotency-key"?: string;
            };
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["Started"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["FirstLesson"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description The disk is full; nothing was kept. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    start_read: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["Typed"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Understood"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    students_change: {
        parameters: {
            query?: never;
            header?: {
                /** @description When it happened on the device; now, if left out. Within the past seven days. */
                "happened-at"?: Moment;
                /** @description Made by the device, unlike all others: the same write sent again is kept once. */
                "idempotency-key"?: string;
            };
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["Change_StudentFields"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Student"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description The disk is full; nothing was kept. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    students_archive: {
        parameters: {
            query?: never;
            header?: {
                /** @description When it happened on the device; now, if left out. Within the past seven days. */
                "happened-at"?: Moment;
                /** @description Made by the device, unlike all others: the same write sent again is kept once. */
                "idempotency-key"?: string;
            };
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["Archive"];
            };
        };
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Student"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description The disk is full; nothing was kept. */
            507: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
    yard_student: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Refused: why, and at which fields. */
            "4XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            /** @description Something went wrong on the server's side. */
            "5XX": {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["StudentView"];
                };
            };
            /** @description No time for it now: nothing was begun, or nothing of it was kept. */
            503: {
                headers: {
                    "Retry-After"?: number;
                    [name: string]: unknown;
                };
                content: {
                    "application/problem+json": components["schemas"]["ProblemDocument"];
                };
            };
        };
    };
}
