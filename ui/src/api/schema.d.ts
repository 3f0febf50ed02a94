export interface paths {
    "/api/builds": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * List Builds
         * @description Builds by the day they are needed.
         */
        get: operations["list_builds_api_builds_get"];
        put?: never;
        /**
         * Make Build
         * @description Make an empty build.
         */
        post: operations["make_build_api_builds_post"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/import": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Import Build
         * @description Take in a `*.fuseau.json`, sent as the body.
         */
        post: operations["import_build_api_builds_import_post"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/duplicate": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Duplicate Build
         * @description A copy with a history of its own; `again`: another one like it, with what she would change of it as lessons.
         */
        post: operations["duplicate_build_api_builds__build_id__duplicate_post"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/archive": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Archive Build
         * @description Put a build away, or take it out again.
         */
        post: operations["archive_build_api_builds__build_id__archive_post"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Read Build
         * @description A build with its plan.
         */
        get: operations["read_build_api_builds__build_id__get"];
        put?: never;
        post?: never;
        /**
         * Delete Build
         * @description Delete a build; `undelete` brings it back. What it had reserved of the shelf is free again.
         */
        delete: operations["delete_build_api_builds__build_id__delete"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/undelete": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Undelete Build
         * @description Bring a deleted build back.
         */
        post: operations["undelete_build_api_builds__build_id__undelete_post"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/house": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Read House
         * @description The workshop's settings.
         */
        get: operations["read_house_api_house_get"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        /**
         * Change House
         * @description Change those of the workshop's settings that are said.
         */
        patch: operations["change_house_api_house_patch"];
        trace?: never;
    };
    "/api/catalogue": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Read Catalogue
         * @description What can be chosen, and the house numbers with their reasons.
         */
        get: operations["read_catalogue_api_catalogue_get"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/changes": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Change Build
         * @description Set fields. Refused where the value cannot be, or the garment could no longer be made.
         */
        post: operations["change_build_api_builds__build_id__changes_post"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/trial": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Try Changes
         * @description What would follow from changes, without keeping them.
         */
        post: operations["try_changes_api_builds__build_id__trial_post"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/undo": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Undo
         * @description Undo the last change.
         */
        post: operations["undo_api_builds__build_id__undo_post"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/redo": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Redo
         * @description Do again what was undone.
         */
        post: operations["redo_api_builds__build_id__redo_post"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/history": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Read History
         * @description Every change, newest first.
         */
        get: operations["read_history_api_builds__build_id__history_get"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/restore": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Restore
         * @description Bring an earlier state back, as a new change.
         */
        post: operations["restore_api_builds__build_id__restore_post"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/pictures": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Take Picture
         * @description Add a picture to the brief, sent as the body.
         */
        post: operations["take_picture_api_builds__build_id__pictures_post"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/drawn": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Read Pictures
         * @description What the pictures ask of the wearer, and three ways to come near each.
         */
        get: operations["read_pictures_api_builds__build_id__drawn_get"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/lines": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Read Lines
         * @description Lines marked on pictures as lines of the garment, and the garment's lines back on them.
         */
        get: operations["read_lines_api_builds__build_id__lines_get"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/pictures/{picture_id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Show Picture
         * @description The bytes of a picture.
         */
        get: operations["show_picture_api_pictures__picture_id__get"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/wearers": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * List Wearers
         * @description Everyone in the book, her measurings newest first, and the builds that rest on them.
         */
        get: operations["list_wearers_api_wearers_get"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/wearers/{wearer_id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post?: never;
        /**
         * Delete Wearer
         * @description Take a wearer and her measures out of the book; builds keep their own copy. `undelete` brings her back.
         */
        delete: operations["delete_wearer_api_wearers__wearer_id__delete"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/wearers/{wearer_id}/undelete": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Undelete Wearer
         * @description Bring a wearer back.
         */
        post: operations["undelete_wearer_api_wearers__wearer_id__undelete_post"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/measures.csv": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Save Measures
         * @description A build's measures as a CSV file.
         */
        get: operations["save_measures_api_builds__build_id__measures_csv_get"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/measures/csv": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Open Measures
         * @description What a CSV file, sent as the body, says of a wearer; nothing is taken yet.
         */
        post: operations["open_measures_api_measures_csv_post"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/book": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Write Down
         * @description Keep this build's measures in the book as a measuring of a day (today, if none is said).
         */
        post: operations["write_down_api_builds__build_id__book_post"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/measurings/{measuring_id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Look At Measuring
         * @description What a measuring from the book would change in this build: girths of the body, girths to sew.
         */
        get: operations["look_at_measuring_api_builds__build_id__measurings__measuring_id__get"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/measuring": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Take Measuring
         * @description Let this build rest on a measuring from the book.
         */
        post: operations["take_measuring_api_builds__build_id__measuring_post"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/versions": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Next Version
         * @description Keep the draft as version 1, the proposed change as the next version, or an old one again.
         */
        post: operations["next_version_api_builds__build_id__versions_post"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/typed": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Type Widths
         * @description A pattern typed in by its widths, level by level, as the next version.
         */
        post: operations["type_widths_api_builds__build_id__typed_post"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/compare": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Compare Versions
         * @description What changed between two versions, by level, seam and edge.
         */
        get: operations["compare_versions_api_builds__build_id__compare_get"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/pattern": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Edit The Pattern
         * @description Edit the pattern by hand. A version that is cut stays: the edit begins the next one.
         */
        post: operations["edit_the_pattern_api_builds__build_id__pattern_post"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/pattern/preview": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Preview Edit
         * @description How the pattern would lie after edits, trued, without keeping them: for a drag.
         */
        post: operations["preview_edit_api_builds__build_id__pattern_preview_post"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/refit": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Refit Build
         * @description An earlier build's pattern, refitted to this build's wearer, as the next version.
         */
        post: operations["refit_build_api_builds__build_id__refit_post"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/drawings": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Open Drawing
         * @description The closed outlines of an SVG or DXF drawing, sent as the body.
         */
        post: operations["open_drawing_api_drawings_post"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/traced/check": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Check Traced
         * @description What is odd about traced pieces as they are named, and the girths they make.
         */
        post: operations["check_traced_api_builds__build_id__traced_check_post"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/traced": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Keep Traced
         * @description Traced pieces as the next version.
         */
        post: operations["keep_traced_api_builds__build_id__traced_post"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/fittings": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * New Fitting
         * @description Log a fitting of the current version.
         */
        post: operations["new_fitting_api_builds__build_id__fittings_post"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/fittings/{number}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /**
         * Mend Fitting
         * @description Correct a fitting.
         */
        put: operations["mend_fitting_api_builds__build_id__fittings__number__put"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/photos": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Keep Photo
         * @description Keep a photo for a fitting, sent as the body; the pages on which its build is open hear of it.
         *
         *     `page` tells the page that sent it from the others.
         */
        post: operations["keep_photo_api_photos_post"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/photo": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Read Photo
         * @description Gaps and heights that the marks on a photo of the back come to.
         */
        post: operations["read_photo_api_builds__build_id__photo_post"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/change/line": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /**
         * Change Line
         * @description Set one line of the proposed change by hand, or take that back.
         */
        put: operations["change_line_api_builds__build_id__change_line_put"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/readiness": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Read Readiness
         * @description The odds that the real garment fits if it were cut now, from 200 draws of what is believed.
         */
        get: operations["read_readiness_api_builds__build_id__readiness_get"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/story": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Read Story
         * @description What was believed after each fitting, what it cost, and what it bought.
         */
        get: operations["read_story_api_builds__build_id__story_get"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/rehearse": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Rehearse
         * @description A copy of the build to rehearse with: the same measures and wishes, and a dress stand with a hidden body.
         */
        post: operations["rehearse_api_builds__build_id__rehearse_post"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/stand": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Try On Stand
         * @description The present version laced on the dress stand: a fitting as it is read there, not logged yet.
         */
        post: operations["try_on_stand_api_builds__build_id__stand_post"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/stand/cut": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Cut For Stand
         * @description The final garment on the dress stand, and the body that was hidden.
         */
        post: operations["cut_for_stand_api_builds__build_id__stand_cut_post"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/bones/schools": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Read Schools
         * @description The schools of boning side by side. About half a second.
         */
        get: operations["read_schools_api_builds__build_id__bones_schools_get"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/bones/cutting": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Read Cutting
         * @description How the bones are cut from the shelf and from what is sold, kind by kind.
         */
        get: operations["read_cutting_api_builds__build_id__bones_cutting_get"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/bones/cut": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Bones Are Cut
         * @description Write the bones down as cut: later changes are held against them, and what they were cut from is used up.
         */
        post: operations["bones_are_cut_api_builds__build_id__bones_cut_post"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/bones/uncut": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Bones Are Not Cut
         * @description The bones are not cut after all: what they were cut from lies on the shelf again.
         */
        post: operations["bones_are_not_cut_api_builds__build_id__bones_uncut_post"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/catalogue/bones": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /**
         * Keep Bone Kind
         * @description Keep a kind of bone in the build's catalogue: a new one, or another version of the one it names.
         */
        put: operations["keep_bone_kind_api_builds__build_id__catalogue_bones_put"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/bones.pdf": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Print Bones
         * @description Every bone at 1:1 with its label; for the mock-up as cable ties.
         */
        get: operations["print_bones_api_builds__build_id__bones_pdf_get"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/front.pdf": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Print Front
         * @description Both sides of what opens the front at 1:1: where to sew and leave, knob holes, hooks, the ends of a zip.
         */
        get: operations["print_front_api_builds__build_id__front_pdf_get"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/holes.pdf": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Print Holes
         * @description The punching strip at 1:1: fold, holes and waist, the same for both sides.
         */
        get: operations["print_holes_api_builds__build_id__holes_pdf_get"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/plies": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Put In
         * @description Put a ply in where such a ply lies, of the cloth that usually does this.
         */
        post: operations["put_in_api_builds__build_id__plies_post"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/plies/take": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Take Out
         * @description Take a ply out, by its place from the skin out.
         */
        post: operations["take_out_api_builds__build_id__plies_take_post"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/plies/move": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Move
         * @description Move a ply one place further out or in.
         */
        post: operations["move_api_builds__build_id__plies_move_post"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/catalogue/cloths": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /**
         * Keep Own Cloth
         * @description Keep a cloth in the build's catalogue: a new one, or another version of the one it names.
         */
        put: operations["keep_own_cloth_api_builds__build_id__catalogue_cloths_put"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/trims/{group}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /**
         * Keep Trim
         * @description Put a trim on, or change one; refused at its field where it can't lie so.
         */
        put: operations["keep_trim_api_builds__build_id__trims__group__put"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/trims/take": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Take Off
         * @description Take a trim off.
         */
        post: operations["take_off_api_builds__build_id__trims_take_post"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/trims/marks": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Show Marks
         * @description Every trim line of the brief's pictures: where it would lie, or why that can't be told.
         */
        get: operations["show_marks_api_builds__build_id__trims_marks_get"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/trims/room": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Show Room
         * @description What is free between the hardware, and on which panels a motif has room.
         */
        get: operations["show_room_api_builds__build_id__trims_room_get"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/cut": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Read Cut
         * @description Every piece of every ply by its cloth, and what is bound and taped.
         */
        get: operations["read_cut_api_builds__build_id__cut_get"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/cut/{cloth}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Lay Out
         * @description The pieces of a cloth on what of it is at hand, and on new cloth: as closely as is found in so many seconds.
         *
         *     In no time (0) one order of the pieces is tried. It can be stopped as a question.
         */
        get: operations["lay_out_api_builds__build_id__cut__cloth__get"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/by-shelf": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Read By Shelf
         * @description Which busk, bones, hem and panels could be had from the shelf. Some seconds; it can be stopped.
         */
        get: operations["read_by_shelf_api_builds__build_id__by_shelf_get"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/cut/{cloth}/ways": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Read Ways
         * @description What would help where a cloth is not enough, alone and in pairs. Up to twenty seconds; it can be stopped.
         */
        get: operations["read_ways_api_builds__build_id__cut__cloth__ways_get"];
        put?: never;
        /**
         * Take A Way
         * @description Take a way out: it becomes a decision of the build, and can be undone as one.
         */
        post: operations["take_a_way_api_builds__build_id__cut__cloth__ways_post"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/cut/{cloth}/pinned": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /**
         * Pin Pieces
         * @description Pieces of a cloth that stay where she put them; the rest is laid round them.
         */
        put: operations["pin_pieces_api_builds__build_id__cut__cloth__pinned_put"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/cut/{cloth}/done": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Cloth Is Cut
         * @description A cloth is cut as it was seen: what it was cut from is off the shelf, what is left of that is on it.
         *
         *     Refused where it is laid otherwise by now.
         */
        post: operations["cloth_is_cut_api_builds__build_id__cut__cloth__done_post"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/cut/{cloth}/not-done": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Cloth Is Not Cut
         * @description A cloth is not cut after all: its rests are off the shelf, what it was cut from is on it again.
         */
        post: operations["cloth_is_not_cut_api_builds__build_id__cut__cloth__not_done_post"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/cut/{cloth}/layout.{how}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Print Laid
         * @description A cloth as it is laid out: a page for each sheet with where every piece lies, or a drawing at 1:1.
         */
        get: operations["print_laid_api_builds__build_id__cut__cloth__layout__how__get"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/body": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Show On Body
         * @description The garment on her: the present version or the draft, another by its number, or the `proposed` one.
         */
        get: operations["show_on_body_api_builds__build_id__body_get"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/silhouette": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Show Silhouette
         * @description Her outline from the front and from the side, bare, padded and worn; nothing while she is not measured.
         */
        get: operations["show_silhouette_api_builds__build_id__silhouette_get"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/body.svg": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Draw Body
         * @description The garment on her as a drawing: from each of these turns, ° about upright, 0 from in front.
         */
        get: operations["draw_body_api_builds__build_id__body_svg_get"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/make": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Read Make
         * @description Every step of a build as it stands, the order of those that are left, and what to do next.
         */
        get: operations["read_make_api_builds__build_id__make_get"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/make/do": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Do Step
         * @description A step is done; refused where it can't have been.
         */
        post: operations["do_step_api_builds__build_id__make_do_post"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/make/undo": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Undo Step
         * @description A step is not done after all, nor what rests on it.
         */
        post: operations["undo_step_api_builds__build_id__make_undo_post"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/make/leave-out": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Leave Step Out
         * @description A step is left out, and why.
         */
        post: operations["leave_step_out_api_builds__build_id__make_leave_out_post"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/make/take-in": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Take Step In
         * @description A step that was left out is in again.
         */
        post: operations["take_step_in_api_builds__build_id__make_take_in_post"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/make/appoint": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Appoint Step
         * @description A step is agreed for a day, or for none in particular any more.
         */
        post: operations["appoint_step_api_builds__build_id__make_appoint_post"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/make/order": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /**
         * Put In Order
         * @description The steps in her own order, as far as that goes.
         */
        put: operations["put_in_order_api_builds__build_id__make_order_put"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/make/own": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /**
         * Keep Own
         * @description A step of her own, or another version of it.
         */
        put: operations["keep_own_api_builds__build_id__make_own_put"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/make/own/take": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Take Own Out
         * @description A step of her own taken out.
         */
        post: operations["take_own_out_api_builds__build_id__make_own_take_post"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/make/start": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Start Clock
         * @description The clock begins to run on a step; refused while it runs on any other of the workshop.
         */
        post: operations["start_clock_api_builds__build_id__make_start_post"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/make/stop": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Stop Clock
         * @description The clock stops, and its minutes go into the log; with `done` the step is done too.
         */
        post: operations["stop_clock_api_builds__build_id__make_stop_post"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/make/log": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Log Work
         * @description Minutes written down after, with what went wrong.
         */
        post: operations["log_work_api_builds__build_id__make_log_post"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/make/log/take": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Unlog Work
         * @description An entry of the log taken out.
         */
        post: operations["unlog_work_api_builds__build_id__make_log_take_post"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/work": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Read Work
         * @description Every step of every build on its day, and the odds of each build's day. Some seconds; it can be stopped.
         */
        get: operations["read_work_api_work_get"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/work/underway": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * List Work Underway
         * @description How far it is.
         */
        get: operations["list_work_underway_api_work_underway_get"];
        put?: never;
        post?: never;
        /**
         * Stop Work
         * @description Stop working it out.
         */
        delete: operations["stop_work_api_work_underway_delete"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/work.ics": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Save Work
         * @description The work as a calendar: steps, waits, fittings, parcels, and the days that builds are needed.
         */
        get: operations["save_work_api_work_ics_get"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/work.pdf": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Print Work
         * @description The plan of the next days, on paper.
         */
        get: operations["print_work_api_work_pdf_get"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/make/gains": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Read Gains
         * @description Choices that would make a build ready sooner, those first that buy most odds. Some seconds; can be stopped.
         */
        get: operations["read_gains_api_builds__build_id__make_gains_get"];
        put?: never;
        /**
         * Take Gain
         * @description Take a choice that saves time; it is undone as one.
         */
        post: operations["take_gain_api_builds__build_id__make_gains_post"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/record": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Read Record
         * @description The card as it stands, whatever is still open.
         */
        get: operations["read_record_api_builds__build_id__record_get"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/card.pdf": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Print Card
         * @description The card on paper; `whole`: as one file that holds the build too, so that it can be sent and taken in again.
         */
        get: operations["print_card_api_builds__build_id__card_pdf_get"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/card.png": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Draw Card
         * @description The card as a picture.
         */
        get: operations["draw_card_api_builds__build_id__card_png_get"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/cards": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Find Cards
         * @description The cards of finished builds in which every one of the words stands, the newest first.
         */
        get: operations["find_cards_api_cards_get"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/cards/compare": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Compare Cards
         * @description Two cards side by side, with what differs in numbers.
         */
        get: operations["compare_cards_api_cards_compare_get"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/shelf": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Read Shelf
         * @description What lies on the shelf, who has reserved of it, and orders.
         */
        get: operations["read_shelf_api_shelf_get"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/articles": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * List Articles
         * @description Every article of the catalogue, with the workshop's own.
         */
        get: operations["list_articles_api_articles_get"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/shelf/pieces": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Put On
         * @description Put pieces on the shelf.
         */
        post: operations["put_on_api_shelf_pieces_post"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/shelf/pieces/{stock}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /**
         * Rewrite Piece
         * @description Write a piece anew.
         */
        put: operations["rewrite_piece_api_shelf_pieces__stock__put"];
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/shelf/pieces/{stock}/take-off": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Take Piece Off
         * @description Take a piece off the shelf. Refused while a build has reserved of it.
         */
        post: operations["take_piece_off_api_shelf_pieces__stock__take_off_post"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/shelf/pieces/{stock}/reserve": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Reserve Piece
         * @description Keep so much of a piece for a build, or let go of it.
         */
        post: operations["reserve_piece_api_shelf_pieces__stock__reserve_post"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/reserve": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Reserve All
         * @description Keep for a build all that it uses of the shelf.
         */
        post: operations["reserve_all_api_builds__build_id__reserve_post"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/needs": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Read Needs
         * @description What a build needs of hardware, laces and tapes: by the piece or by its length, stage by stage.
         */
        get: operations["read_needs_api_builds__build_id__needs_get"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/shelf/undo": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Undo Shelf
         * @description Undo the last change of the shelf.
         */
        post: operations["undo_shelf_api_shelf_undo_post"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/shelf/redo": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Redo Shelf
         * @description Do again what was undone.
         */
        post: operations["redo_shelf_api_shelf_redo_post"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/scrap": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Read Scrap
         * @description The outline of a scrap from marks on its photo.
         */
        post: operations["read_scrap_api_scrap_post"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/shelf.csv": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Save Shelf
         * @description Everything on the shelf as a CSV file.
         */
        get: operations["save_shelf_api_shelf_csv_get"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/shelf/csv": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Open Csv
         * @description What a CSV file, sent as the body, would put on the shelf; nothing is put there yet.
         */
        post: operations["open_csv_api_shelf_csv_post"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/shopping": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Read Shopping
         * @description What is to be bought for all builds: each article, for which builds, from whom and by when.
         */
        get: operations["read_shopping_api_shopping_get"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/shopping/underway": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * List Shopping Underway
         * @description How far the list is.
         */
        get: operations["list_shopping_underway_api_shopping_underway_get"];
        put?: never;
        post?: never;
        /**
         * Stop Shopping
         * @description Stop working the list out.
         */
        delete: operations["stop_shopping_api_shopping_underway_delete"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/shopping.csv": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Save Shopping
         * @description The shopping list as a CSV file.
         */
        get: operations["save_shopping_api_shopping_csv_get"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/shopping/csv": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Open List
         * @description What a shopping list, sent as the body, says was ordered or bought; nothing is written down yet.
         */
        post: operations["open_list_api_shopping_csv_post"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/orders": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Order
         * @description Place an order with one of the shops, or write down one from a shop of hers.
         */
        post: operations["order_api_orders_post"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/orders/{order_id}/arrive": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Order Arrived
         * @description What an order brought goes on the shelf.
         */
        post: operations["order_arrived_api_orders__order_id__arrive_post"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/orders/{order_id}/cancel": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Cancel Order
         * @description Call an order off.
         */
        post: operations["cancel_order_api_orders__order_id__cancel_post"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/large.pdf": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Print Large Pdf
         * @description The pattern at 1:1 on one page as wide as a plotter's roll.
         */
        get: operations["print_large_pdf"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/projector.pdf": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Print Projector Pdf
         * @description The pattern at 1:1 on one page, with layers to be switched and thick lines, for a projector.
         */
        get: operations["print_projector_pdf"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/pattern.pdf": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Print Pattern Pdf
         * @description The pattern at 1:1 on tiled pages.
         */
        get: operations["print_pattern_pdf"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/plies.pdf": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Print Plies Pdf
         * @description Every piece of every ply at 1:1 on tiled pages.
         */
        get: operations["print_plies_pdf"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/list.pdf": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Print List Pdf
         * @description Bones, busk, holes, lace and cloth, to tick off.
         */
        get: operations["print_list_pdf"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/fitting.pdf": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Print Fitting Pdf
         * @description A fitting of the present version to write down by hand, one page.
         */
        get: operations["print_fitting_pdf"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/on-her.pdf": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Print On Her Pdf
         * @description The garment on her from four sides, with her levels as they are worn.
         */
        get: operations["print_on_her_pdf"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/pattern.svg": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Print Pattern Svg
         * @description The pattern as SVG in millimetres.
         */
        get: operations["print_pattern_svg"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/pattern.dxf": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Print Pattern Dxf
         * @description The pattern as DXF in millimetres, pieces with layers.
         */
        get: operations["print_pattern_dxf"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/plies.svg": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Print Plies Svg
         * @description Every piece of every ply as SVG in millimetres.
         */
        get: operations["print_plies_svg"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/plies.dxf": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Print Plies Dxf
         * @description Every piece of every ply as DXF in millimetres, in layers.
         */
        get: operations["print_plies_dxf"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/build.fuseau.json": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Export Build
         * @description The build as an open file, with its pictures; one that can't be read, as it is kept.
         */
        get: operations["export_build_api_builds__build_id__build_fuseau_json_get"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/bones.csv": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Save Bones
         * @description Every bone as a CSV file.
         */
        get: operations["save_bones_api_builds__build_id__bones_csv_get"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/letter.html": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Letter To Send
         * @description A client's measuring sheet as one file that works offline.
         */
        get: operations["letter_to_send_api_builds__build_id__letter_html_get"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/letter.pdf": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Letter To Print
         * @description The same sheet to print and write on.
         */
        get: operations["letter_to_print_api_builds__build_id__letter_pdf_get"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/letter": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Read Answer
         * @description Take in a client's answer, sent as the body: her measures, marked as not confirmed.
         */
        post: operations["read_answer_api_builds__build_id__letter_post"];
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
        /**
         * List Copies
         * @description The daily copies, and those from before a migration or a restoring; newest first.
         */
        get: operations["list_copies_api_copies_get"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/backup": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Take Backup
         * @description Everything in one file, checked when it was made.
         */
        get: operations["take_backup_api_backup_get"];
        /**
         * Offer Backup
         * @description A backup, sent as the body: what it holds, each build of it that is new here planned like one from a file.
         *
         *     It waits beside the workshop until it is brought in, or let go.
         */
        put: operations["offer_backup_api_backup_put"];
        /**
         * Bring Backup In
         * @description Bring in the backup that waits. In the place of what is here: that is copied first.
         */
        post: operations["bring_backup_in_api_backup_post"];
        /**
         * Let Backup Go
         * @description The backup that waits is not brought in.
         */
        delete: operations["let_backup_go_api_backup_delete"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/underway": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * List Underway
         * @description What is being worked out on a build.
         */
        get: operations["list_underway_api_builds__build_id__underway_get"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/builds/{build_id}/underway/{what}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post?: never;
        /**
         * Stop Underway
         * @description Stop it; whoever asked hears that it was stopped.
         */
        delete: operations["stop_underway_api_builds__build_id__underway__what__delete"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/room": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Read Room
         * @description Whether other devices can come in, and which are let in.
         */
        get: operations["read_room_api_room_get"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/room/open": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /**
         * Open Room
         * @description Open the room to this machine's network.
         */
        put: operations["open_room_api_room_open_put"];
        post?: never;
        /**
         * Close Room
         * @description Close it again.
         */
        delete: operations["close_room_api_room_open_delete"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/room/code": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Make Code
         * @description A code for one device; the one before is good no more.
         */
        post: operations["make_code_api_room_code_post"];
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/room/devices/{device_id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post?: never;
        /**
         * Put Out
         * @description Put a device out: its key is good no more.
         */
        delete: operations["put_out_api_room_devices__device_id__delete"];
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/events": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Listen
         * @description What changes, as it happens: `build` with its id and revision, `photo` with the build that it is of.
         *
         *     `after` the number of what was heard last, what was missed comes first; `begin` says whether that is all of it.
         */
        get: operations["listen_api_events_get"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/find": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Find Anywhere
         * @description Builds, wearers, pieces on the shelf and finished garments in which every word stands.
         */
        get: operations["find_anywhere_api_find_get"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/about": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /**
         * Read About
         * @description Which Fuseau this is, and where its data are.
         */
        get: operations["read_about_api_about_get"];
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/demo": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Open Demo
         * @description Start the demo workshop beside this one, if it does not run yet.
         */
        post: operations["open_demo_api_demo_post"];
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
        /**
         * About
         * @description Which Fuseau this is, where it keeps its data (told on the laptop alone), and whether it is the demo workshop.
         */
        About: {
            /** Version */
            version: string;
            /** Folder */
            folder: string;
            /** Demo */
            demo: boolean;
        };
        /**
         * AddDart
         * @description Stitch a dart into a panel.
         */
        AddDart: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "dart";
            /** Panel */
            panel: number;
            /**
             * Across
             * @default 0.5
             */
            across: number;
            /** Width Mm */
            width_mm: number;
            /** Low Mm */
            low_mm: number;
            /** Widest Mm */
            widest_mm: number;
            /** High Mm */
            high_mm: number;
        };
        /**
         * AddGusset
         * @description Let a gusset into a seam from an edge, or into a panel that is slashed, `across` of the way to its CB edge.
         *
         *     With `from_seams` the fullness comes from the seams beside it: they are taken in by as much, and the girth stays.
         */
        AddGusset: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "gusset";
            /** Seam */
            seam: number | null;
            /** Panel */
            panel: number | null;
            /**
             * Across
             * @default 0.5
             */
            across: number;
            /**
             * From Seams
             * @default false
             */
            from_seams: boolean;
            /**
             * End
             * @enum {string}
             */
            end: "top" | "hem";
            /** Width Mm */
            width_mm: number;
            /** Depth Mm */
            depth_mm: number;
        };
        /**
         * Aim
         * @description The plan for the fit, levels from the lowest up: sewn girths S, tension T*, and the pull it is laced with.
         *
         *     `pull_n_per_m` is what brings the gap to the wish, up to the most that one person pulls. That would do with
         *     `spared_mm` less of a squeeze; where it shows, `reaches` is false, and `needed_n_per_m` is what the wish would take
         *     (None: no pull brings it). The waist's closed girth and reduction are as they were asked, reached or not, and
         *     `tension_n_per_m` is what the levels were planned with.
         */
        Aim: {
            /** Sewn Mm */
            sewn_mm: number[];
            /** Tension N Per M */
            tension_n_per_m: number[];
            /** Pull N Per M */
            pull_n_per_m: number;
            /**
             * Spared Mm
             * @default 0
             */
            spared_mm: number;
            /** Needed N Per M */
            needed_n_per_m: number | null;
            /**
             * Reaches
             * @default true
             */
            reaches: boolean;
            /** Closed Waist Mm */
            closed_waist_mm: number;
            /** Worn Waist Mm */
            worn_waist_mm: number;
            /** Reduction Mm */
            reduction_mm: number;
            /** Reduction Share */
            reduction_share: number;
            /** Asked Reduction Mm */
            asked_reduction_mm: number;
        };
        /**
         * Allowances
         * @description Seam allowance per kind of edge, mm; `by_seam` overrides single seams ("2·3"). Top and hem are 0 if bound.
         */
        Allowances: {
            /**
             * Seams Mm
             * @default 15
             */
            seams_mm: number;
            /**
             * Top Mm
             * @default 0
             */
            top_mm: number;
            /**
             * Hem Mm
             * @default 0
             */
            hem_mm: number;
            /**
             * Cf Mm
             * @default 20
             */
            cf_mm: number;
            /**
             * Cb Mm
             * @default 45
             */
            cb_mm: number;
            /** By Seam */
            by_seam: {
                [key: string]: number | undefined;
            };
        };
        /**
         * Along
         * @description Something along a line: pieces every `pitch_mm`, or without a pitch something that runs on, such as lace.
         *
         *     `grams` and `price` are of a piece, or of a metre. `at_hand` counts pieces, `at_hand_mm` is of what runs on.
         */
        Along: {
            /** Key */
            key: string;
            /** Name */
            name: string;
            /**
             * @default {
             *       "on": "top line",
             *       "spots": [],
             *       "half": "both",
             *       "in_mm": 0
             *     }
             */
            line: components["schemas"]["TrimLine"];
            /** Pitch Mm */
            pitch_mm: number | null;
            /**
             * Ends
             * @default on both ends
             * @enum {string}
             */
            ends: "on both ends" | "half a pitch in";
            /**
             * Sewn
             * @default each by hand
             * @enum {string}
             */
            sewn: "each by hand" | "along by hand" | "by machine" | "stuck or painted";
            /**
             * Turn In Mm
             * @default 10
             */
            turn_in_mm: number;
            /**
             * Grams
             * @default 0
             */
            grams: number;
            /**
             * Price
             * @default 0
             */
            price: number;
            /** At Hand */
            at_hand: number | null;
            /** At Hand Mm */
            at_hand_mm: number | null;
            /**
             * Detachable
             * @description On loops, so that it comes off for washing.
             * @default false
             */
            detachable: boolean;
        };
        /**
         * AlongLaid
         * @description Something laid along its line. Lengths of one half; counts, thread, grams and minutes of all that is meant.
         *
         *     `pitch_mm` is what the pitch comes to so that the ends are as wished; `at_mm` where the pieces lie. `needed_mm` of
         *     what runs on, with what is turned in; `short` by so many pieces or mm; `stops` are the ways out.
         */
        AlongLaid: {
            /** Length Mm */
            length_mm: number;
            /** Halves */
            halves: number;
            /** Count */
            count: number | null;
            /** Pitch Mm */
            pitch_mm: number | null;
            /**
             * At Mm
             * @default []
             */
            at_mm: number[];
            /** Needed Mm */
            needed_mm: number | null;
            /** Thread Mm */
            thread_mm: number;
            /** Grams */
            grams: number;
            /** Price */
            price: number;
            /** Works */
            works: [
                "cut a ply" | "mark" | "baste by machine" | "baste by hand" | "fuse" | "sew a seam" | "sew a curved seam" | "press a seam" | "topstitch a seam" | "sandwich seam" | "grade a seam" | "channel stitching" | "inside tape" | "outside tape" | "facing" | "binding on" | "binding by hand" | "binding in the ditch" | "floating lining" | "cut a flat bone" | "cut a spiral bone" | "cut a synthetic bone" | "dip a coat" | "bone in" | "busk" | "separating zip" | "hidden zip" | "hooks by hand" | "hooks by tape" | "grommet" | "worked eyelet" | "tape loop" | "waist tape" | "modesty panel" | "modesty bone" | "flap" | "slashed gusset" | "gusset in a seam" | "dart" | "cup" | "lace new" | "shoulder piece" | "mock-up" | "fitting" | "gather and sew on" | "flossing" | "beads along a line" | "bead by itself" | "light embroidery" | "dense embroidery" | "lace motif" | "trim by hand" | "trim by machine" | "hem rolled" | "hem by hand" | "loop for a trim" | "strap" | "cut a pad" | "shape a pad" | "cover a pad",
                number
            ][];
            /**
             * Loops
             * @default 0
             */
            loops: number;
            /**
             * Short
             * @default 0
             */
            short: number;
            /**
             * Stops
             * @default []
             */
            stops: components["schemas"]["Stop"][];
        };
        /**
         * AlongShown
         * @description Something along a line.
         */
        AlongShown: {
            /** Key */
            key: string;
            /** Name */
            name: string;
            /**
             * Parts
             * @default []
             */
            parts: components["schemas"]["OnPanel"][];
            /**
             * Left Parts
             * @default []
             */
            left_parts: components["schemas"]["OnPanel"][];
            fault: components["schemas"]["Message"] | null;
            /** Fault At */
            fault_at: string | null;
            /**
             * Minutes
             * @default 0
             */
            minutes: number;
            laid: components["schemas"]["AlongLaid"] | null;
            /**
             * Spots
             * @default []
             */
            spots: [
                number,
                [
                    number,
                    number
                ]
            ][];
        };
        /**
         * AlsoLaced
         * @description Another lacing of the same evening, pulled otherwise: it tells a girth from a give for two minutes' work.
         */
        AlsoLaced: {
            /**
             * Pull
             * @default light
             * @enum {string}
             */
            pull: "light" | "close" | "firm";
            /**
             * Readings
             * @default []
             */
            readings: components["schemas"]["GapReading"][];
            /**
             * Words
             * @default []
             */
            words: components["schemas"]["SaidAt"][];
            /**
             * Laced
             * @default []
             */
            laced: components["schemas"]["LacedGirth"][];
        };
        /**
         * Alteration
         * @description Everything that changes between two versions with the same panels.
         */
        Alteration: {
            /**
             * Seams
             * @default []
             */
            seams: components["schemas"]["SeamChange"][];
            /**
             * Places
             * @default []
             */
            places: components["schemas"]["PlacedChange"][];
            top: components["schemas"]["EdgeLine"] | null;
            hem: components["schemas"]["EdgeLine"] | null;
        };
        /**
         * Ambiguity
         * @description What the last fitting cannot tell apart, by how much each could move the gap (mm), and what would tell.
         *
         *     `left_mm` is what the doubt comes down to once it was measured so.
         */
        Ambiguity: {
            /** Fitting */
            fitting: number;
            /** Causes */
            causes: ("body" | "cloth" | "pull")[];
            /** Doubt Mm */
            doubt_mm: number;
            /**
             * Cheapest
             * @enum {string}
             */
            cheapest: "a tape over it" | "a second pull" | "a tape under it" | "a strip of the cloth";
            /** Left Mm */
            left_mm: number;
        };
        /**
         * Appoint
         * @description A day on which a step is done because somebody comes; none: on no day in particular.
         */
        Appoint: {
            /** Revision */
            revision: number;
            /**
             * Step
             * @description What a step is known by.
             */
            step: string;
            /** On */
            on?: string | null;
            /**
             * Note
             * @default
             */
            note?: string;
        };
        /**
         * Appointment
         * @description A day on which a step is done because somebody has to be there, and where, when, with whom.
         */
        Appointment: {
            /**
             * Step
             * @description What a step is known by.
             */
            step: string;
            /**
             * On
             * Format: date
             */
            on: string;
            /**
             * Note
             * @default
             */
            note: string;
        };
        /**
         * Area
         * @description Something over an area: embroidery, sequins, paint, or a lace motif of a size.
         *
         *     On whole `panels`, or inside `spots` of one panel. `per_cm2`: pieces. `grams` and `price` are of a piece, or of a
         *     square centimetre of what has no pieces. A motif has its `wide_mm` and `high_mm`, and how many are wanted.
         */
        Area: {
            /** Key */
            key: string;
            /** Name */
            name: string;
            /**
             * How
             * @default pieces
             * @enum {string}
             */
            how: "pieces" | "light embroidery" | "dense embroidery" | "motif" | "paint";
            /**
             * Panels
             * @default []
             */
            panels: number[];
            /**
             * Spots
             * @default []
             */
            spots: components["schemas"]["Spot"][];
            /**
             * Half
             * @default both
             * @enum {string}
             */
            half: "both" | "right" | "left";
            /**
             * Per Cm2
             * @default 1
             */
            per_cm2: number;
            /**
             * Wide Mm
             * @default 60
             */
            wide_mm: number;
            /**
             * High Mm
             * @default 60
             */
            high_mm: number;
            /**
             * Count
             * @default 2
             */
            count: number;
            /**
             * Grams
             * @default 0
             */
            grams: number;
            /**
             * Price
             * @default 0
             */
            price: number;
            /** At Hand */
            at_hand: number | null;
        };
        /**
         * AreaLaid
         * @description Something over an area: how many square centimetres it covers, pieces, thread, grams, minutes; of all halves.
         *
         *     `fits` are the panels on which a motif has room, `places` where; `short` by so many pieces.
         */
        AreaLaid: {
            /** Cm2 */
            cm2: number;
            /** Halves */
            halves: number;
            /** Count */
            count: number | null;
            /**
             * Thread Mm
             * @default 0
             */
            thread_mm: number;
            /**
             * Grams
             * @default 0
             */
            grams: number;
            /**
             * Price
             * @default 0
             */
            price: number;
            /**
             * Works
             * @default []
             */
            works: [
                "cut a ply" | "mark" | "baste by machine" | "baste by hand" | "fuse" | "sew a seam" | "sew a curved seam" | "press a seam" | "topstitch a seam" | "sandwich seam" | "grade a seam" | "channel stitching" | "inside tape" | "outside tape" | "facing" | "binding on" | "binding by hand" | "binding in the ditch" | "floating lining" | "cut a flat bone" | "cut a spiral bone" | "cut a synthetic bone" | "dip a coat" | "bone in" | "busk" | "separating zip" | "hidden zip" | "hooks by hand" | "hooks by tape" | "grommet" | "worked eyelet" | "tape loop" | "waist tape" | "modesty panel" | "modesty bone" | "flap" | "slashed gusset" | "gusset in a seam" | "dart" | "cup" | "lace new" | "shoulder piece" | "mock-up" | "fitting" | "gather and sew on" | "flossing" | "beads along a line" | "bead by itself" | "light embroidery" | "dense embroidery" | "lace motif" | "trim by hand" | "trim by machine" | "hem rolled" | "hem by hand" | "loop for a trim" | "strap" | "cut a pad" | "shape a pad" | "cover a pad",
                number
            ][];
            /**
             * Fits
             * @default []
             */
            fits: number[];
            /**
             * Places
             * @default []
             */
            places: [
                number,
                [
                    number,
                    number
                ]
            ][];
            /**
             * Short
             * @default 0
             */
            short: number;
            /**
             * Outline
             * @default []
             */
            outline: [
                number,
                [
                    number,
                    number
                ][]
            ][];
        };
        /**
         * AreaShown
         * @description Something over an area.
         */
        AreaShown: {
            /** Key */
            key: string;
            /** Name */
            name: string;
            /**
             * Parts
             * @default []
             */
            parts: components["schemas"]["OnPanel"][];
            /**
             * Left Parts
             * @default []
             */
            left_parts: components["schemas"]["OnPanel"][];
            fault: components["schemas"]["Message"] | null;
            /** Fault At */
            fault_at: string | null;
            /**
             * Minutes
             * @default 0
             */
            minutes: number;
            laid: components["schemas"]["AreaLaid"] | null;
        };
        /**
         * Arrived
         * @description What of an order came: by line, in mm or pieces; None all of it. `where` it is put.
         */
        Arrived: {
            /** Revision */
            revision?: number | null;
            /** Came */
            came?: (number | null)[];
            /**
             * Where
             * @default
             */
            where?: string;
        };
        /**
         * Article
         * @description Something that is bought: of which sort, what, how it is called, and whether by length or by the piece.
         */
        Article: {
            /**
             * Sort
             * @enum {string}
             */
            sort: "cloth" | "bone" | "busk" | "zip" | "grommets" | "lace" | "tape" | "hooks" | "ends" | "thread" | "trim";
            /**
             * Name
             * @description Of one sort, what it is.
             */
            name: string;
            /** Label */
            label: string;
            /**
             * Measure
             * @enum {string}
             */
            measure: "length" | "piece";
        };
        /**
         * AsDrawn
         * @description Three ways, and how near squeezing alone and with padding comes: reduction as a share, % without, % with.
         *
         *     `drawn_share` is the drawn waist over the widest other level, with its spread; `hers_share` hers as she is.
         */
        AsDrawn: {
            /** Ways */
            ways: components["schemas"]["WayDrawn"][];
            /** Curve */
            curve: [
                number,
                number,
                number
            ][];
            /** Flat From Share */
            flat_from_share: number;
            /** Drawn Share */
            drawn_share: number;
            /** Drawn Spread */
            drawn_spread: number;
            /** Hers Share */
            hers_share: number;
            /** Stays */
            stays: string | null;
        };
        /**
         * BackChoices
         * @description How the back is laced: holes and their pitch, the walk, the panel behind it, the tape at the waist.
         *
         *     What is wished is met exactly, or refused; what is None follows: the pitch from the pull, margins and the panel's
         *     size from the house. A pattern of None is crossed, with pull loops where the lace draws in.
         */
        BackChoices: {
            /**
             * Laced
             * @description False: CB is a seam, or closes with what opens the garment.
             * @default true
             */
            laced: boolean;
            /** Rows */
            rows: number | null;
            /** Pitch Mm */
            pitch_mm: number | null;
            /** Top Margin Mm */
            top_margin_mm: number | null;
            /** Bottom Margin Mm */
            bottom_margin_mm: number | null;
            /**
             * Waist Pitch Mm
             * @description Closer rows near the waist, where the pull is hardest; None: as the others.
             */
            waist_pitch_mm: number | null;
            /**
             * Holes
             * @default grommet_5
             * @enum {string}
             */
            holes: "grommet_5" | "grommet_4" | "eyelet_5" | "worked_4" | "tape_loop";
            /**
             * Lace
             * @default cord_4
             * @enum {string}
             */
            lace: "cord_4" | "flat_8" | "ribbon_10" | "ribbon_4";
            /** Pattern */
            pattern: ("cross with pull loops" | "cross" | "spiral") | null;
            /**
             * Modesty
             * @default floating
             * @enum {string}
             */
            modesty: "none" | "floating" | "sewn" | "hung";
            /** Modesty Width Mm */
            modesty_width_mm: number | null;
            /** Modesty Height Mm */
            modesty_height_mm: number | null;
            /**
             * Modesty Bone
             * @description None: as the bones between the seams.
             */
            modesty_bone: string | null;
            /**
             * Waist Tape
             * @description None: a tape wherever the garment draws the waist in.
             */
            waist_tape: boolean | null;
        };
        /**
         * BackPhoto
         * @description A picture of the back with its marks: points (x, y) from its top left, as shares of its width and height.
         *
         *     `scale`: two points a known distance apart, or the four corners of a rectangle, from the top left round by the
         *     right. `waist`: where the zero line crosses the gap. `rows`: left and right edge, at some heights.
         */
        "BackPhoto-Input": {
            /**
             * Id
             * @description SHA-256 of the picture's bytes.
             */
            id: string;
            /**
             * Name
             * @default
             */
            name?: string;
            /** Width Px */
            width_px: number;
            /** Height Px */
            height_px: number;
            /**
             * Scale
             * @default []
             */
            scale?: [
                number,
                number
            ][];
            /** Known Mm */
            known_mm?: number | null;
            /** Known High Mm */
            known_high_mm?: number | null;
            /** Waist */
            waist?: [
                number,
                number
            ] | null;
            /**
             * Rows
             * @default []
             */
            rows?: [
                [
                    number,
                    number
                ],
                [
                    number,
                    number
                ]
            ][];
        };
        /**
         * BackPhoto
         * @description A picture of the back with its marks: points (x, y) from its top left, as shares of its width and height.
         *
         *     `scale`: two points a known distance apart, or the four corners of a rectangle, from the top left round by the
         *     right. `waist`: where the zero line crosses the gap. `rows`: left and right edge, at some heights.
         */
        "BackPhoto-Output": {
            /**
             * Id
             * @description SHA-256 of the picture's bytes.
             */
            id: string;
            /**
             * Name
             * @default
             */
            name: string;
            /** Width Px */
            width_px: number;
            /** Height Px */
            height_px: number;
            /**
             * Scale
             * @default []
             */
            scale: [
                number,
                number
            ][];
            /** Known Mm */
            known_mm: number | null;
            /** Known High Mm */
            known_high_mm: number | null;
            /** Waist */
            waist: [
                number,
                number
            ] | null;
            /**
             * Rows
             * @default []
             */
            rows: [
                [
                    number,
                    number
                ],
                [
                    number,
                    number
                ]
            ][];
        };
        /**
         * Before
         * @description The hardware as the version before had it: bone lengths by channel, busk and number of rows.
         */
        Before: {
            /** Version */
            version: number;
            /** Bones Mm */
            bones_mm: {
                [key: string]: number | undefined;
            };
            /** Busk Mm */
            busk_mm: number | null;
            /** Rows */
            rows: number;
        };
        /**
         * Believed
         * @description A girth as it was believed then, with its spread (one standard deviation), mm.
         */
        Believed: {
            /**
             * Name
             * @enum {string}
             */
            name: "upper_neck" | "neck_base" | "collarbone" | "high_bust" | "bust" | "underbust" | "ribs" | "waist" | "high_hip" | "hip";
            /** Girth Mm */
            girth_mm: number;
            /** Spread Mm */
            spread_mm: number;
        };
        /**
         * Beside
         * @description Where the demo workshop is.
         */
        Beside: {
            /** Url */
            url: string;
        };
        /**
         * Between
         * @description A channel between the seams of a panel, at a share of its width; from hem to top line, or only so far.
         */
        Between: {
            /** Panel */
            panel: number;
            /** Letter */
            letter: string;
            /** Across */
            across: number;
            /** From Mm */
            from_mm: number | null;
            /** To Mm */
            to_mm: number | null;
        };
        /**
         * BlockGirth
         * @description An amount of girth at a level, in front and behind, mm of both halves together.
         */
        BlockGirth: {
            /**
             * Level
             * @enum {string}
             */
            level: "upper_neck" | "neck_base" | "collarbone" | "high_bust" | "bust" | "underbust" | "ribs" | "waist" | "high_hip" | "hip";
            /**
             * Front Mm
             * @default 0
             */
            front_mm: number;
            /**
             * Back Mm
             * @default 0
             */
            back_mm: number;
            /**
             * Wish
             * @description What was wished of this girth when it was decided.
             * @default
             */
            wish: string;
        };
        /**
         * Body
         * @description The wearer as now believed, levels from the lowest up, and how a garment sits and is laced on her.
         *
         *     `ride_mm`: how much higher it sits than planned; `lean`: by what share the lace draws harder at the top than in the
         *     middle; `friction`: what share of the pull is lost on the way to the end that is farthest from the loops. `between`:
         *     heights at the back (rising) and by how many mm her girth there is off the spline through the levels. `flesh_scale`
         *     and `stiffening`: how her flesh gives beside the table's (see `compression`). `stretches`: by what share each cloth
         *     stretches beyond its table, as far as she taught it.
         */
        Body: {
            /** Levels */
            levels: components["schemas"]["BodyLevel"][];
            /**
             * Ride Mm
             * @default 0
             */
            ride_mm: number;
            /**
             * Lean
             * @default 0
             */
            lean: number;
            /**
             * Friction
             * @default 0
             */
            friction: number;
            /**
             * Between
             * @default []
             */
            between: [
                number,
                number
            ][];
            /**
             * Flesh Scale
             * @default 1
             */
            flesh_scale: number;
            /**
             * Stiffening
             * @default 0
             */
            stiffening: number;
            /** Stretches */
            stretches: {
                [key: string]: number | undefined;
            };
        };
        /**
         * BodyLevel
         * @description What is believed of one level. Heights are signed from the zero line, up is positive.
         */
        BodyLevel: {
            /**
             * Name
             * @enum {string}
             */
            name: "upper_neck" | "neck_base" | "collarbone" | "high_bust" | "bust" | "underbust" | "ribs" | "waist" | "high_hip" | "hip";
            /** Front Mm */
            front_mm: number;
            /** Side Mm */
            side_mm: number;
            /** Back Mm */
            back_mm: number;
            /** Girth Mm */
            girth_mm: number;
            /** Spread Mm */
            spread_mm: number;
            /** Give */
            give: number;
            /** Comfort Kpa */
            comfort_kpa: number;
            /** Width To Depth */
            width_to_depth: number;
            /** Front Share */
            front_share: number;
            /**
             * Left More Mm
             * @default 0
             */
            left_more_mm: number;
            /** Measured */
            measured: boolean;
            /**
             * Learned
             * @default false
             */
            learned: boolean;
        };
        /**
         * Bone
         * @description One channel of a half and the bone in it (`count`: or the two side by side). Points are (x, z) of its panel, mm.
         *
         *     `radius_mm` is the tightest edge-wise bend of its path, at `tightest_z_mm` (None: straight); `can_lie` are the kinds
         *     that follow it. `strip_mm` is how wide a tape lies over the channel, finished, and `lines_mm` its lines of
         *     stitching from the middle. `room_mm` is the longest that would fit; a ready-cut bone may be shorter.
         */
        Bone: {
            /** Channel */
            channel: string;
            /**
             * Place
             * @enum {string}
             */
            place: "beside the opening" | "front edge outer" | "front edge inner" | "seam" | "beside seam" | "between" | "shaped" | "lacing edge inner" | "lacing edge outer" | "beside CB";
            /** Panel */
            panel: number;
            /**
             * Kind
             * @description A kind of bone in the catalogue.
             */
            kind: string;
            /** Kind Label */
            kind_label: string;
            /**
             * Drawn
             * @enum {string}
             */
            drawn: "bar" | "coil" | "strip" | "ribbon";
            /** Width Mm */
            width_mm: number;
            /** Thickness Mm */
            thickness_mm: number;
            /** Length Mm */
            length_mm: number;
            /** Count */
            count: number;
            /** Channel Width Mm */
            channel_width_mm: number;
            /** Path Mm */
            path_mm: number;
            /** Room Mm */
            room_mm: number;
            /** Path */
            path: [
                number,
                number
            ][];
            /** Bone Path */
            bone_path: [
                number,
                number
            ][];
            /** Radius Mm */
            radius_mm: number | null;
            /** Tightest Z Mm */
            tightest_z_mm: number;
            /** Can Lie */
            can_lie: string[];
            /**
             * Made
             * @enum {string}
             */
            made: "between plies" | "in the allowances" | "inside tape" | "outside tape";
            /** Strip Mm */
            strip_mm: number | null;
            /** Strip Cut Mm */
            strip_cut_mm: number | null;
            /** Lines Mm */
            lines_mm: number[];
            /** Seam */
            seam: number | null;
            /** Across */
            across: number | null;
            /** Own */
            own: string | null;
            /** Swapped */
            swapped: boolean;
        };
        /**
         * BoneChoices
         * @description Where channels lie, what they are made in, and which kind of bone lies where.
         *
         *     `sides`, `between_seams`: None is as `seams`; `every_second` takes turns with those on the seams. `curved` takes the
         *     place of all of these where they can't follow the channel (None: it is told). `by_channel`, `made_by_channel` and
         *     `clearance_by_channel` override single channels, by their label. A `between` of None lets the channels between seams
         *     follow from the width of the panels.
         */
        BoneChoices: {
            /**
             * Lacing Edge
             * @description A kind of bone in the catalogue.
             * @default flat_12
             */
            lacing_edge: string;
            /**
             * Beside Busk
             * @description A kind of bone in the catalogue.
             * @default flat_6
             */
            beside_busk: string;
            /**
             * Seams
             * @description A kind of bone in the catalogue.
             * @default spiral_6
             */
            seams: string;
            /** Sides */
            sides: string | null;
            /** Every Second */
            every_second: string | null;
            /**
             * Between Seams
             * @default flat_6
             */
            between_seams: string | null;
            /**
             * Curved
             * @default spiral_6
             */
            curved: string | null;
            /** By Channel */
            by_channel: {
                [key: string]: string | undefined;
            };
            /** On Seams */
            on_seams: {
                [key: string]: ("on" | "CF side" | "CB side" | "both sides" | "none") | undefined;
            };
            /** Between */
            between: components["schemas"]["Between"][] | null;
            /**
             * Shaped
             * @default []
             */
            shaped: components["schemas"]["Shaped"][];
            /**
             * Doubled
             * @default []
             */
            doubled: string[];
            /**
             * Over Gussets
             * @default false
             */
            over_gussets: boolean;
            /**
             * Made
             * @default between plies
             * @enum {string}
             */
            made: "between plies" | "in the allowances" | "inside tape" | "outside tape";
            /** Made By Channel */
            made_by_channel: {
                [key: string]: ("between plies" | "in the allowances" | "inside tape" | "outside tape") | undefined;
            };
            /**
             * Clearance By Channel
             * @description From each end of a bone to that of its channel.
             */
            clearance_by_channel: {
                [key: string]: number | undefined;
            };
            /**
             * Ends
             * @description How cut ends of steel are closed.
             * @default tips
             * @enum {string}
             */
            ends: "tips" | "dip";
            /**
             * Cut
             * @description Bones of one half that are cut.
             * @default []
             */
            cut: components["schemas"]["CutBone"][];
            /** Cut Version */
            cut_version: number | null;
        };
        /**
         * BoneKind
         * @description A bone as sold. Its stiffness, bends and ends come from what it is made of.
         *
         *     `sold`: ready-cut lengths are taken as they are; lengths and coils are cut. `price_per_m` and `price_each` (a tip
         *     at both ends, or a ready-cut piece) are in the workshop's money.
         */
        BoneKind: {
            /**
             * Name
             * @description A kind of bone in the catalogue.
             */
            name: string;
            /** Label */
            label: string;
            /**
             * Material
             * @enum {string}
             */
            material: "flat steel" | "spiral steel" | "synthetic whalebone" | "plastic" | "woven" | "nylon";
            /** Width Mm */
            width_mm: number;
            /** Thickness Mm */
            thickness_mm: number;
            /**
             * Sold
             * @default coil
             * @enum {string}
             */
            sold: "ready-cut" | "lengths" | "coil";
            /**
             * Lengths Mm
             * @default []
             */
            lengths_mm: number[];
            /**
             * Price Per M
             * @default 0
             */
            price_per_m: number;
            /**
             * Price Each
             * @default 0
             */
            price_each: number;
            /**
             * G Per M
             * @default 0
             */
            g_per_m: number;
            /**
             * Bends To Mm
             * @description The tightest edge-wise bend, where it is known; else from its width.
             */
            bends_to_mm: number | null;
        };
        /**
         * BoneReuse
         * @description What becomes of every channel's bone, and the bones that are left over: of both halves where any names its own,
         *     else of one.
         */
        BoneReuse: {
            /** Bones */
            bones: components["schemas"]["ReusedBone"][];
            /** Left */
            left: components["schemas"]["CutBone"][];
            /** New */
            new: number;
            /** Cut Down */
            cut_down: number;
        };
        /**
         * Boning
         * @description All bones of a garment: how many, what they weigh (g), cost and take (minutes to cut, close and label).
         *
         *     `flat_radius_mm` is the tightest that the worn profile bends them flat-wise, at `flat_z_mm`; `takes_a_set` are kinds
         *     that stay bent there.
         */
        Boning: {
            /** Count */
            count: number;
            stiffness: components["schemas"]["RoundStiffness"];
            /** Grams */
            grams: number;
            /** Price */
            price: number;
            /** Minutes */
            minutes: number;
            /** Ends */
            ends: number;
            /** Coats */
            coats: number;
            /** Flat Radius Mm */
            flat_radius_mm: number;
            /** Flat Z Mm */
            flat_z_mm: number;
            /** Takes A Set */
            takes_a_set: string[];
        };
        /**
         * BookEntry
         * @description A wearer in the book; `damaged` of her measurings can't be read any more.
         */
        BookEntry: {
            /** Id */
            id: string;
            /** Name */
            name: string;
            /** Measurings */
            measurings: components["schemas"]["BookMeasuring"][];
            /** Damaged */
            damaged: number;
            /** Builds */
            builds: components["schemas"]["RestingBuild"][];
        };
        /**
         * BookMeasuring
         * @description One measuring in the book.
         */
        BookMeasuring: {
            /** Id */
            id: string;
            /**
             * Taken On
             * Format: date
             */
            taken_on: string;
        };
        /**
         * BoughtRow
         * @description A row that came in: what was bought of it and where, or what is wrong with it, with the row's number.
         */
        BoughtRow: {
            /** Row */
            row: number;
            /** Said */
            said: string;
            /**
             * Shop
             * @default
             */
            shop: string;
            line: components["schemas"]["OrderLine-Output"] | null;
            /** Fault */
            fault: string | null;
        };
        /**
         * Brief
         * @description What is being made, for whom and until when, and what it has to stand.
         */
        Brief: {
            /**
             * Name
             * @default New build
             */
            name: string;
            /**
             * Character
             * @default
             */
            character: string;
            /** Needed On */
            needed_on: string | null;
            /**
             * Note
             * @default
             */
            note: string;
            /**
             * Pictures
             * @default []
             */
            pictures: components["schemas"]["Picture"][];
            /** Chosen Sketch */
            chosen_sketch: string | null;
            /**
             * Chosen Because
             * @default
             */
            chosen_because: string;
            /** Laced By */
            laced_by: ("herself" | "a helper") | null;
            /**
             * Alone
             * @description Must the wearer get in alone?
             */
            alone: boolean | null;
            /** Hours Worn */
            hours_worn: number | null;
            /** Heat */
            heat: ("cool" | "warm" | "hot") | null;
            /**
             * Movement
             * @default []
             */
            movement: ("sit" | "bend" | "raise arms" | "dance" | "drive" | "turn the head")[];
            /**
             * Worn Under
             * @default
             */
            worn_under: string;
            /**
             * Worn Over
             * @default
             */
            worn_over: string;
            /**
             * Covered
             * @default
             */
            covered: string;
            /**
             * Lessons
             * @description What she would have changed of the garment that this is made like.
             * @default []
             */
            lessons: string[];
        };
        /**
         * BringIn
         * @description How a backup comes in: beside what is here, or in its place.
         */
        BringIn: {
            /**
             * How
             * @enum {string}
             */
            how: "beside" | "replace";
        };
        /**
         * BroughtIn
         * @description What came in, and for what was replaced the name of its copy.
         */
        BroughtIn: {
            /** Builds */
            builds: number;
            /** Beside */
            beside: number;
            /** Here Already */
            here_already: number;
            /** Wearers */
            wearers: number;
            /** Pictures */
            pictures: number;
            /** Copy Of Before */
            copy_of_before: string | null;
        };
        /**
         * Build
         * @description Everything decided and observed about one garment.
         */
        Build: {
            /**
             * Format
             * @default fuseau.build
             * @constant
             */
            format: "fuseau.build";
            /**
             * Version
             * @default 8
             * @constant
             */
            version: 8;
            /**
             * Kind
             * @default underbust corset
             * @enum {string}
             */
            kind: "underbust corset" | "overbust corset" | "cincher" | "longline corset" | "boned bodice" | "strapless bodice" | "foundation bodice" | "neck corset";
            /**
             * @default {
             *       "name": "New build",
             *       "character": "",
             *       "note": "",
             *       "pictures": [],
             *       "chosen_because": "",
             *       "movement": [],
             *       "worn_under": "",
             *       "worn_over": "",
             *       "covered": "",
             *       "lessons": []
             *     }
             */
            brief: components["schemas"]["Brief"];
            /**
             * @default {
             *       "name": "",
             *       "softness": "average",
             *       "new_to_lacing": true,
             *       "upper_neck": {
             *         "readings_mm": [],
             *         "unconfirmed": false
             *       },
             *       "neck_base": {
             *         "readings_mm": [],
             *         "unconfirmed": false
             *       },
             *       "collarbone": {
             *         "readings_mm": [],
             *         "unconfirmed": false
             *       },
             *       "high_bust": {
             *         "readings_mm": [],
             *         "unconfirmed": false
             *       },
             *       "bust": {
             *         "readings_mm": [],
             *         "unconfirmed": false
             *       },
             *       "underbust": {
             *         "readings_mm": [],
             *         "unconfirmed": false
             *       },
             *       "ribs": {
             *         "readings_mm": [],
             *         "unconfirmed": false
             *       },
             *       "waist": {
             *         "readings_mm": [],
             *         "unconfirmed": false
             *       },
             *       "high_hip": {
             *         "readings_mm": [],
             *         "unconfirmed": false
             *       },
             *       "hip": {
             *         "readings_mm": [],
             *         "unconfirmed": false
             *       }
             *     }
             */
            wearer: components["schemas"]["Wearer"];
            measuring: components["schemas"]["MeasuringRef"] | null;
            /** @description None starts from the tape alone. */
            taught: components["schemas"]["Memory"] | null;
            /**
             * @default {
             *       "name": ""
             *     }
             */
            stand: components["schemas"]["Stand"];
            /**
             * Pads
             * @description Padding worn under it.
             * @default []
             */
            pads: components["schemas"]["Pad"][];
            /**
             * @default {
             *       "job": "reduction_share",
             *       "reduction_percent": 8,
             *       "gap_mm": 50,
             *       "pull": "close",
             *       "shares": {},
             *       "ease_at": {}
             *     }
             */
            target: components["schemas"]["Target"];
            /**
             * @default {
             *       "panels": 6,
             *       "one_piece": false,
             *       "cups": false,
             *       "shoulder_pieces": false,
             *       "top": {
             *         "shape": "plain"
             *       },
             *       "hem": {
             *         "shape": "plain"
             *       },
             *       "allowances": {
             *         "by_seam": {},
             *         "cb_mm": 45,
             *         "cf_mm": 20,
             *         "hem_mm": 0,
             *         "seams_mm": 15,
             *         "top_mm": 0
             *       },
             *       "waist_mm": 0
             *     }
             */
            draft: components["schemas"]["DraftChoices"];
            /**
             * @default {
             *       "plies": [
             *         {
             *           "cloth": "lawn",
             *           "grain": "along",
             *           "grain_free": false,
             *           "joins": [],
             *           "matched": false,
             *           "motif_on": [],
             *           "role": "lining"
             *         },
             *         {
             *           "cloth": "coutil",
             *           "grain": "along",
             *           "grain_free": false,
             *           "joins": [],
             *           "matched": false,
             *           "motif_on": [],
             *           "role": "strength"
             *         },
             *         {
             *           "cloth": "sateen",
             *           "grain": "along",
             *           "grain_free": false,
             *           "joins": [],
             *           "matched": false,
             *           "motif_on": [],
             *           "role": "fashion"
             *         }
             *       ],
             *       "method": "channels between the plies",
             *       "worn_under_mm": 0
             *     }
             */
            layers: components["schemas"]["Layers"];
            /**
             * @default {
             *       "stack": {
             *         "fashion_mm": 0,
             *         "lining_mm": 0,
             *         "strength": "calico",
             *         "worn_under_mm": 0
             *       },
             *       "edge_bone": "cable_tie_8",
             *       "boned": true,
             *       "closing": "laced",
             *       "strip": true
             *     }
             */
            mock_up: components["schemas"]["MockUp"];
            /**
             * Versions
             * @default []
             */
            versions: components["schemas"]["PatternVersion"][];
            /**
             * Fittings
             * @default []
             */
            fittings: components["schemas"]["Fitting"][];
            /**
             * Strips
             * @description Cloths tried under a weight.
             * @default []
             */
            strips: components["schemas"]["StripTest"][];
            /**
             * Garments
             * @description Garments of hers that fit.
             * @default []
             */
            garments: components["schemas"]["FittingGarment"][];
            /**
             * Rehearsal
             * @description A rehearsal on the workshop's dress stand, which hides a body of its own.
             */
            rehearsal: ("kind" | "harsh") | null;
            /**
             * Line Edits
             * @description Lines of the change proposed for the present version, set by hand.
             * @default []
             */
            line_edits: components["schemas"]["LineEdit"][];
            /**
             * @default {
             *       "bones": {},
             *       "cloths": {}
             *     }
             */
            catalogue: components["schemas"]["OwnKinds"];
            /**
             * @default {
             *       "lacing_edge": "flat_12",
             *       "beside_busk": "flat_6",
             *       "seams": "spiral_6",
             *       "between_seams": "flat_6",
             *       "curved": "spiral_6",
             *       "by_channel": {},
             *       "on_seams": {},
             *       "shaped": [],
             *       "doubled": [],
             *       "over_gussets": false,
             *       "made": "between plies",
             *       "made_by_channel": {},
             *       "clearance_by_channel": {},
             *       "ends": "tips",
             *       "cut": []
             *     }
             */
            bones: components["schemas"]["BoneChoices"];
            /**
             * @default {
             *       "opening": "busk",
             *       "line": "CF",
             *       "half": "left",
             *       "thin": false,
             *       "flap": false,
             *       "hook_pitch_mm": 15
             *     }
             */
            front: components["schemas"]["FrontChoices"];
            /**
             * @default {
             *       "laced": true,
             *       "holes": "grommet_5",
             *       "lace": "cord_4",
             *       "modesty": "floating"
             *     }
             */
            back: components["schemas"]["BackChoices"];
            /**
             * @default {
             *       "along": [],
             *       "areas": [],
             *       "flossing": [],
             *       "hanging": [],
             *       "straps": [],
             *       "chains": [],
             *       "waist_stay": false
             *     }
             */
            trims: components["schemas"]["TrimChoices"];
            /**
             * @default {
             *       "fold": [],
             *       "pinned": {},
             *       "leave": [],
             *       "done": {}
             *     }
             */
            cut: components["schemas"]["CutChoices"];
            /**
             * @default {
             *       "binding": "by hand",
             *       "done": [],
             *       "left_out": [],
             *       "own": [],
             *       "order": [],
             *       "log": [],
             *       "appointments": []
             *     }
             */
            make: components["schemas"]["MakeChoices"];
            /**
             * @default {
             *       "likes": [],
             *       "would_change": [],
             *       "wears": [],
             *       "photos": []
             *     }
             */
            record: components["schemas"]["RecordChoices"];
            /**
             * @default {
             *       "pressure_scale_kpa": 2,
             *       "tape_spread_single_mm": 7,
             *       "tape_spread_least_mm": 3,
             *       "tape_spread_unconfirmed_mm": 12,
             *       "tape_spread_guessed_mm": 25,
             *       "readings_disagree_mm": 15,
             *       "ruler_spread_mm": 3,
             *       "word_spread": 1,
             *       "laced_spread_mm": 5,
             *       "pinch_spread_mm": 4,
             *       "dig_let_out_mm": 6,
             *       "side_seam_off_mm": 2,
             *       "waist_off_mm": 5,
             *       "word_holds_mm": 5,
             *       "place_reach_mm": 40,
             *       "model_spread_mm": 2,
             *       "give_spread": 0.3,
             *       "pull_spread": 0.2,
             *       "pull_lean": 0.03,
             *       "lace_friction": 0.1,
             *       "friction_spread": 0.08,
             *       "pulls_together": 0.5,
             *       "ride_spread_mm": 4,
             *       "once_share": 0.15,
             *       "unsaid_stand_off_mm": 10,
             *       "evenings_differ_mm": 15,
             *       "ride_told_mm": 10,
             *       "ride_seen_mm": 4,
             *       "mark_share": 0.002,
             *       "pinned_spread_mm": 2,
             *       "pinned_pull_spread": 0.5,
             *       "unboned_wider": 2,
             *       "thin_wider": 1.5,
             *       "bare_edge_n_m2": 0.03,
             *       "tape_common_mm": 4,
             *       "flesh_scale_spread": 0.25,
             *       "stiffening_spread": 0.5,
             *       "comfort_spread": 0.17,
             *       "between_spread_mm": 5,
             *       "between_reach_mm": 35,
             *       "beyond_spread_share": 0.15,
             *       "strip_spread": 0.002,
             *       "pass_room_mm": 10,
             *       "room_spread_mm": 6,
             *       "ready_share": 0.95,
             *       "pass_mean_mm": 12,
             *       "pass_shape_mm": 12,
             *       "stand_near_mm": 5,
             *       "light_pull_n_per_m": 100,
             *       "close_pull_n_per_m": 180,
             *       "firm_pull_n_per_m": 260,
             *       "support_light_n_per_m": 60,
             *       "support_close_n_per_m": 75,
             *       "support_firm_n_per_m": 90,
             *       "planned_pull_n_per_m": 260,
             *       "share_high_bust": 0.25,
             *       "share_bust": 0.25,
             *       "share_underbust": 0.4,
             *       "share_ribs": 0.4,
             *       "share_high_hip": 0.6,
             *       "share_hip": 0.5,
             *       "least_tension_n_per_m": 15,
             *       "most_give_share": 0.85,
             *       "seam_cap_mm": 12,
             *       "garment_spread_mm": 8,
             *       "seam_keeps_mm": 6,
             *       "plan_hold_mm": 17,
             *       "plan_hold_share": 0.42,
             *       "plan_comfort_share": 0.55,
             *       "caution_reduction_new": 0.1,
             *       "caution_reduction": 0.15,
             *       "caution_reduction_strong": 0.2,
             *       "caution_ribs": 0.03,
             *       "seam_take_up": 0.4,
             *       "pad_gives_share": 0.15,
             *       "parallel_mm": 5,
             *       "stand_off_mm": 6,
             *       "worth_changing_mm": 3,
             *       "least_edge_mm": 0.75,
             *       "change_step_mm": 0.5,
             *       "friction": 0.3,
             *       "stay_pull_n": 20,
             *       "neck_ease_mm": 20,
             *       "neck_pull_n_per_m": 10,
             *       "cup_wire_share": 0.72,
             *       "shoulder_width_mm": 70,
             *       "least_panel_width_mm": 15,
             *       "notch_pitch_mm": 90,
             *       "ease_in_mm": 0.5,
             *       "machine_mm": 5,
             *       "iron_ease_share": 0.015,
             *       "growth_matters_mm": 0.5,
             *       "waist_tape_mm": 25,
             *       "waist_tape_kn": 12,
             *       "tape_band_mm": 60,
             *       "grain_leans_deg": 2,
             *       "binding_mm": 10,
             *       "binding_turn_mm": 15,
             *       "join_allowance_mm": 6,
             *       "facing_mm": 60,
             *       "modesty_allowance_mm": 10,
             *       "loop_mm": 45,
             *       "separation_mm": 2,
             *       "thread_per_seam": 2.8,
             *       "sewing_days": 10,
             *       "scrap_least_mm": 120,
             *       "grain_strict_deg": 2,
             *       "grain_free_deg": 10,
             *       "edge_beam_mm": 40,
             *       "cloth_edge_n_m2": 0.02,
             *       "bone_step_mm": 5,
             *       "bone_cap_mm": 1,
             *       "bone_ease_mm": 1,
             *       "channel_step_mm": 0.5,
             *       "channel_tape_mm": 0.5,
             *       "strip_margin_mm": 2,
             *       "strip_turning_mm": 7,
             *       "point_clear_mm": 10,
             *       "unboned_mm": 50,
             *       "unboned_light_mm": 65,
             *       "ready_short_mm": 15,
             *       "coil_step_mm": 500,
             *       "wire_clear_mm": 6,
             *       "dip_coats": 3,
             *       "spare_bones": 0,
             *       "busks_in_half_inches": 0,
             *       "busk_clearance_mm": 10,
             *       "busk_loop_ease_mm": 1,
             *       "zip_closes_n_per_m": 260,
             *       "hooks_close_n_per_m": 140,
             *       "front_opens_mm": 200,
             *       "zip_clear_mm": 5,
             *       "flap_more_mm": 20,
             *       "head_mm": 570,
             *       "shoulders_share": 1.17,
             *       "passing_gives": 0.03,
             *       "widest_opening_mm": 450,
             *       "busk_least_sewn_mm": 6,
             *       "loop_pair_mm": 12,
             *       "waist_rows_mm": 70,
             *       "lace_play_mm": 0.5,
             *       "ribbon_holds_n": 3,
             *       "row_margin_mm": 20,
             *       "row_pitch_mm": 26,
             *       "flange_clear_mm": 2,
             *       "edge_stitch_mm": 2,
             *       "row_pitch_light_mm": 34,
             *       "row_pitch_hard_mm": 22,
             *       "light_rows_n_per_m": 70,
             *       "hard_rows_n_per_m": 260,
             *       "hole_clear_mm": 3,
             *       "modesty_short_mm": 10,
             *       "modesty_margin_mm": 10,
             *       "tape_turning_mm": 20,
             *       "lace_loop_mm": 450,
             *       "lace_tail_mm": 150,
             *       "getting_in_ease_mm": 40,
             *       "modesty_least_mm": 15,
             *       "modesty_overlap_mm": 30
             *     }
             */
            practice: components["schemas"]["Practice"];
            /**
             * @default {
             *       "upper_neck": {
             *         "average": 0.02,
             *         "comfort_kpa": 0.5,
             *         "front_share": 0.5,
             *         "lean": 0.015,
             *         "soft": 0.03,
             *         "width_to_depth": 1.1
             *       },
             *       "neck_base": {
             *         "average": 0.02,
             *         "comfort_kpa": 0.5,
             *         "front_share": 0.5,
             *         "lean": 0.015,
             *         "soft": 0.03,
             *         "width_to_depth": 1.1
             *       },
             *       "collarbone": {
             *         "average": 0.02,
             *         "comfort_kpa": 0.5,
             *         "front_share": 0.5,
             *         "lean": 0.015,
             *         "soft": 0.03,
             *         "width_to_depth": 1.35
             *       },
             *       "high_bust": {
             *         "average": 0.04,
             *         "comfort_kpa": 2.5,
             *         "front_share": 0.51,
             *         "lean": 0.03,
             *         "soft": 0.05,
             *         "width_to_depth": 1.45
             *       },
             *       "bust": {
             *         "average": 0.06,
             *         "comfort_kpa": 2,
             *         "front_share": 0.55,
             *         "lean": 0.04,
             *         "soft": 0.08,
             *         "width_to_depth": 1.45
             *       },
             *       "underbust": {
             *         "average": 0.04,
             *         "comfort_kpa": 2.5,
             *         "front_share": 0.52,
             *         "lean": 0.03,
             *         "soft": 0.06,
             *         "width_to_depth": 1.35
             *       },
             *       "ribs": {
             *         "average": 0.04,
             *         "comfort_kpa": 2.5,
             *         "front_share": 0.51,
             *         "lean": 0.03,
             *         "soft": 0.06,
             *         "width_to_depth": 1.35
             *       },
             *       "waist": {
             *         "average": 0.13,
             *         "comfort_kpa": 4,
             *         "front_share": 0.5,
             *         "lean": 0.1,
             *         "soft": 0.16,
             *         "width_to_depth": 1.35
             *       },
             *       "high_hip": {
             *         "average": 0.06,
             *         "comfort_kpa": 3,
             *         "front_share": 0.49,
             *         "lean": 0.05,
             *         "soft": 0.08,
             *         "width_to_depth": 1.4
             *       },
             *       "hip": {
             *         "average": 0.05,
             *         "comfort_kpa": 3,
             *         "front_share": 0.48,
             *         "lean": 0.04,
             *         "soft": 0.07,
             *         "width_to_depth": 1.4
             *       }
             *     }
             */
            zones: components["schemas"]["Zones"];
        };
        /**
         * BuildEnd
         * @description When a build is ready, how many days that is before its day (below zero: late), and the chain that decides it.
         */
        BuildEnd: {
            /** Build */
            build: string;
            /**
             * Ends On
             * Format: date
             */
            ends_on: string;
            /** Due On */
            due_on: string | null;
            /** Spare Days */
            spare_days: number | null;
            /** Chain */
            chain: string[];
        };
        /**
         * BuildWork
         * @description What is left of a build.
         */
        BuildWork: {
            /** Build */
            build: string;
            /** Name */
            name: string;
            /** Needed On */
            needed_on: string | null;
            /** Now */
            now: string | null;
            /** Steps Left */
            steps_left: number;
            /** Steps Done */
            steps_done: number;
            /** Minutes Left */
            minutes_left: number;
            /** Minutes Later */
            minutes_later: number;
            /** Lost */
            lost: string[];
            /** Running */
            running: string | null;
            /**
             * Missed
             * @default []
             */
            missed: components["schemas"]["Message"][];
        };
        /**
         * Bump
         * @description A smooth shift of one edge toward CB (+) or CF (−): `amount_mm` at its peak, fading to 0 at low and high.
         *
         *     None at low or high lets it run out at that end of the panel. A `straight` one fades as a wedge does, but for a soft
         *     beginning. What is `slack` was seen on her at this place, too much or missing: it bears no tension and moves no gap.
         */
        Bump: {
            /** Low Mm */
            low_mm: number | null;
            /** Peak Mm */
            peak_mm: number;
            /** High Mm */
            high_mm: number | null;
            /** Amount Mm */
            amount_mm: number;
            /**
             * Straight
             * @default false
             */
            straight: boolean;
            /**
             * Slack
             * @default false
             */
            slack: boolean;
        };
        /**
         * Busk
         * @description The busk that fits CF, or the reason why none does (`length_mm` None).
         */
        Busk: {
            /** Length Mm */
            length_mm: number | null;
            reason: components["schemas"]["Message"];
            /** Width Mm */
            width_mm: number | null;
            /** Loop Width Mm */
            loop_width_mm: number | null;
            /**
             * Thin
             * @default false
             */
            thin: boolean;
            /** Top Z Mm */
            top_z_mm: number | null;
            /**
             * Studs Mm
             * @default []
             */
            studs_mm: number[];
            /**
             * Studs Z Mm
             * @default []
             */
            studs_z_mm: number[];
            /** Waist From Top Mm */
            waist_from_top_mm: number | null;
            /**
             * Intervals
             * @default []
             */
            intervals: components["schemas"]["Interval"][];
        };
        /**
         * BuskStock
         * @description A straight split busk as sold: its length, and its studs from the top end, evenly or as measured.
         *
         *     `thin`: one that bends by hand, and wants a flat steel beside it.
         */
        BuskStock: {
            /** Length Mm */
            length_mm: number;
            /**
             * Studs
             * @default 0
             */
            studs: number;
            /**
             * First Stud Mm
             * @default 20
             */
            first_stud_mm: number;
            /**
             * Own Studs Mm
             * @default []
             */
            own_studs_mm: number[];
            /**
             * Loop Width Mm
             * @default 12
             */
            loop_width_mm: number;
            /**
             * Width Mm
             * @default 13
             */
            width_mm: number;
            /**
             * Thin
             * @default false
             */
            thin: boolean;
        };
        /**
         * BuskThere
         * @description A busk on the shelf: whether it fits CF with its clearances, and what makes it the one that is sewn in.
         */
        BuskThere: {
            /** Stock */
            stock: string;
            /** Label */
            label: string;
            /** Fits */
            fits: boolean;
            /** Chosen */
            chosen: boolean;
            /** Changes */
            changes: components["schemas"]["Change-Output"][];
        };
        /**
         * ByShelf
         * @description What could be had from the shelf.
         */
        ByShelf: {
            /** Busks */
            busks: components["schemas"]["BuskThere"][];
            /** Schools */
            schools: components["schemas"]["SchoolThere"][];
            /** Cloths */
            cloths: components["schemas"]["ClothThere"][];
        };
        /**
         * Card
         * @description A garment on one card: its measures, what it is made of and how, what it took, and what is said of its wears.
         *
         *     `outlines` are its panels, stitch lines laid out from CF to CB, mm. Empty of what is not known yet.
         */
        Card: {
            /** Kind */
            kind: string;
            /** Wearer */
            wearer: string;
            /** Version */
            version: number | null;
            /** Facts */
            facts: components["schemas"]["Fact"][];
            /** Tried */
            tried: components["schemas"]["Tried"][];
            /** Gaps */
            gaps: components["schemas"]["WornGap"][];
            /** Says */
            says: components["schemas"]["Message"][];
            /** Photos */
            photos: components["schemas"]["GarmentPhoto"][];
            grown: components["schemas"]["Grown"] | null;
            /** Outlines */
            outlines: [
                number,
                number
            ][][];
        };
        /**
         * CardDifference
         * @description A line of two cards: as each says it, whether that differs, and by how much from the first to the second.
         */
        CardDifference: {
            /**
             * Group
             * @enum {string}
             */
            group: "measures" | "made of" | "took";
            /** Name */
            name: string;
            first: components["schemas"]["Message"] | null;
            second: components["schemas"]["Message"] | null;
            /** Differs */
            differs: boolean;
            by: components["schemas"]["Message"] | null;
        };
        /**
         * CardLine
         * @description A card in the box, and the build that it is of.
         */
        CardLine: {
            /** Name */
            name: string;
            /** Character */
            character: string;
            /** Wearer */
            wearer: string;
            /** Kind */
            kind: string;
            /**
             * Finished On
             * Format: date
             */
            finished_on: string;
            /** Facts */
            facts: components["schemas"]["Fact"][];
            /** Photo */
            photo: string | null;
            /** Outlines */
            outlines: [
                number,
                number
            ][][];
            /** Wears */
            wears: number;
            /** Hits */
            hits: string[];
            /** Id */
            id: string;
        };
        /**
         * CardSeen
         * @description The card of a build, and the day it is.
         */
        CardSeen: {
            card: components["schemas"]["Card"];
            /**
             * Today
             * Format: date
             */
            today: string;
        };
        /**
         * CardsSeen
         * @description The first of the cards that were found, how many were and how many there are in all, and of which kinds.
         */
        CardsSeen: {
            /** Found */
            found: components["schemas"]["CardLine"][];
            /** Count */
            count: number;
            /** In All */
            in_all: number;
            /** Kinds */
            kinds: string[];
        };
        /**
         * Catalogue
         * @description What can be chosen, the levels of a body, and the house numbers.
         */
        Catalogue: {
            /** Kinds */
            kinds: components["schemas"]["GarmentKind"][];
            /** Levels */
            levels: components["schemas"]["LevelInfo"][];
            /** Bones */
            bones: components["schemas"]["BoneKind"][];
            /**
             * Materials
             * @description What a bone of her own can be made of.
             */
            materials: ("flat steel" | "spiral steel" | "synthetic whalebone" | "plastic" | "woven" | "nylon")[];
            /** Busks */
            busks: components["schemas"]["BuskStock"][];
            /** Holes */
            holes: components["schemas"]["Named"][];
            /** Laces */
            laces: components["schemas"]["Named"][];
            /** Cloths */
            cloths: components["schemas"]["Cloth"][];
            /**
             * Fitting
             * @description What is asked of a fitting.
             */
            fitting: components["schemas"]["FittingField"][];
            /** Numbers */
            numbers: components["schemas"]["HouseNumber"][];
        };
        /**
         * Cell
         * @description A single value as it is written, always as text: empty is not told.
         *
         *     `reads`: a `height` from the zero line or a `girth`, in her unit; what is `small`, in mm or inches; an `amount` that
         *     the record reads as she writes it; a `number` that the form writes; `text`; a `word` of those that can be chosen; or
         *     a `tick`.
         */
        Cell: {
            /**
             * Reads
             * @enum {string}
             */
            reads: "height" | "girth" | "small" | "amount" | "number" | "text" | "word" | "tick";
            /**
             * Lines
             * @default false
             */
            lines: boolean;
            /**
             * Words
             * @default []
             */
            words: components["schemas"]["Word"][];
            ways: components["schemas"]["Ways"] | null;
            /**
             * First
             * @default
             */
            first: string;
            /** Only With */
            only_with: [
                string,
                string
            ] | null;
        };
        /**
         * Chain
         * @description A chain, cord or garland between two points: how far apart, how much lower the second, and how far it sags.
         *
         *     Without a sag its length is given. `grams` and `price` of a metre; `count` alike ones.
         */
        Chain: {
            /** Key */
            key: string;
            /**
             * Name
             * @default chain
             */
            name: string;
            /**
             * Span Mm
             * @default 200
             */
            span_mm: number;
            /**
             * Lower Mm
             * @default 0
             */
            lower_mm: number;
            /**
             * Sag Mm
             * @default 40
             */
            sag_mm: number | null;
            /** Length Mm */
            length_mm: number | null;
            /**
             * Count
             * @default 1
             */
            count: number;
            /**
             * Loops
             * @default true
             */
            loops: boolean;
            /**
             * Loop Pitch Mm
             * @default 40
             */
            loop_pitch_mm: number;
            /**
             * Grams
             * @default 0
             */
            grams: number;
            /**
             * Price
             * @default 0
             */
            price: number;
        };
        /**
         * ChainShown
         * @description Chains that are alike.
         */
        ChainShown: {
            /** Key */
            key: string;
            /** Name */
            name: string;
            /**
             * Parts
             * @default []
             */
            parts: components["schemas"]["OnPanel"][];
            /**
             * Left Parts
             * @default []
             */
            left_parts: components["schemas"]["OnPanel"][];
            fault: components["schemas"]["Message"] | null;
            /** Fault At */
            fault_at: string | null;
            /**
             * Minutes
             * @default 0
             */
            minutes: number;
            /**
             * Length Mm
             * @default 0
             */
            length_mm: number;
            /**
             * Sag Mm
             * @default 0
             */
            sag_mm: number;
            /**
             * Count
             * @default 0
             */
            count: number;
            /**
             * Loops
             * @default 0
             */
            loops: number;
            /**
             * Grams
             * @default 0
             */
            grams: number;
            /**
             * Price
             * @default 0
             */
            price: number;
            /**
             * Works
             * @default []
             */
            works: [
                "cut a ply" | "mark" | "baste by machine" | "baste by hand" | "fuse" | "sew a seam" | "sew a curved seam" | "press a seam" | "topstitch a seam" | "sandwich seam" | "grade a seam" | "channel stitching" | "inside tape" | "outside tape" | "facing" | "binding on" | "binding by hand" | "binding in the ditch" | "floating lining" | "cut a flat bone" | "cut a spiral bone" | "cut a synthetic bone" | "dip a coat" | "bone in" | "busk" | "separating zip" | "hidden zip" | "hooks by hand" | "hooks by tape" | "grommet" | "worked eyelet" | "tape loop" | "waist tape" | "modesty panel" | "modesty bone" | "flap" | "slashed gusset" | "gusset in a seam" | "dart" | "cup" | "lace new" | "shoulder piece" | "mock-up" | "fitting" | "gather and sew on" | "flossing" | "beads along a line" | "bead by itself" | "light embroidery" | "dense embroidery" | "lace motif" | "trim by hand" | "trim by machine" | "hem rolled" | "hem by hand" | "loop for a trim" | "strap" | "cut a pad" | "shape a pad" | "cover a pad",
                number
            ][];
        };
        /**
         * Change
         * @description One decision changed: the dotted path of a field in the Build, and its new value.
         */
        "Change-Input": {
            /** At */
            at: string;
            /** Value */
            value?: unknown;
        };
        /**
         * Change
         * @description One decision changed: the dotted path of a field in the Build, and its new value.
         */
        "Change-Output": {
            /** At */
            at: string;
            /** Value */
            value: unknown;
        };
        /**
         * Chapter
         * @description One fitting, or the tape before any: what was read, what was believed after it, and the odds then.
         *
         *     `probability` is that of a garment cut then from the pattern that would have followed; `bought` by how much it rose.
         */
        Chapter: {
            /** Fitting */
            fitting: number | null;
            /** Version */
            version: number | null;
            /** Tried On */
            tried_on: string | null;
            /** Gaps */
            gaps: components["schemas"]["GapReading"][];
            /** Levels */
            levels: components["schemas"]["Believed"][];
            /** Probability */
            probability: number | null;
            /** Bought */
            bought: number | null;
            /** Hours */
            hours: number | null;
            /** Cost */
            cost: number | null;
            /**
             * Places
             * @description What was changed at places for it.
             * @default []
             */
            places: components["schemas"]["Message"][];
        };
        /**
         * Circle
         * @description Part of a circle as it is cut: radius of its waist and of its hem, stitch lines, mm; in so many pieces.
         *
         *     `inner_cut_mm` and `outer_cut_mm` are with the seam and the hem; each piece is a sector of `angle_deg`. `cloth_mm`
         *     is the length of the cloth that they take, side by side; None where no such piece comes out of its width.
         */
        Circle: {
            /** Waist Mm */
            waist_mm: number;
            /** Inner Mm */
            inner_mm: number;
            /** Outer Mm */
            outer_mm: number;
            /** Inner Cut Mm */
            inner_cut_mm: number;
            /** Outer Cut Mm */
            outer_cut_mm: number;
            /** Hem Mm */
            hem_mm: number;
            /** Pieces */
            pieces: number;
            /** Angle Deg */
            angle_deg: number;
            /** Seams */
            seams: number;
            /** Cloth Mm */
            cloth_mm: number | null;
            /** High Mm */
            high_mm: number;
            /** Wide Mm */
            wide_mm: number;
        };
        /**
         * Cloth
         * @description A cloth as it is bought.
         *
         *     `stiffness_kn_per_m` is K against the pull along its strong grain. Beyond that every cloth stretches by a share of
         *     its own when it is worn: `stretches_more` on average, with `stretches_spread` from cloth to cloth, log-normal, so
         *     never less than nothing (model, 6). `gives_*` is how far it gives under 10 N on a strip of 50 mm, in percent;
         *     `holds_n_per_m` what it carries for an evening, seams and all, without creeping; `bears_c` the heat of the iron that
         *     it bears, `fuses_c` that which a fusible needs. A repeat of 0 is none; `one_way`: nap, print or weave with a top.
         *     What `sheds` (pile, sequins, glitter) is cut apart from other work; what `breaks_needles` is sewn with care.
         */
        Cloth: {
            /**
             * Name
             * @description A cloth in the catalogue.
             */
            name: string;
            /** Label */
            label: string;
            /** Suits */
            suits: ("lining" | "strength" | "interlining" | "fashion" | "overlay")[];
            /** Thickness Mm */
            thickness_mm: number;
            /** Mass G M2 */
            mass_g_m2: number;
            /**
             * Stiffness Kn Per M
             * @default 20
             */
            stiffness_kn_per_m: number;
            /**
             * Stretches More
             * @default 0.02
             */
            stretches_more: number;
            /**
             * Stretches Spread
             * @default 0.015
             */
            stretches_spread: number;
            /**
             * Gives Along
             * @default 1
             */
            gives_along: number;
            /**
             * Gives Across
             * @default 2
             */
            gives_across: number;
            /**
             * Gives Bias
             * @default 8
             */
            gives_bias: number;
            /**
             * Holds N Per M
             * @default 150
             */
            holds_n_per_m: number;
            /**
             * Bears C
             * @default 200
             */
            bears_c: number;
            /** Fuses C */
            fuses_c: number | null;
            /**
             * Frays
             * @default 2
             */
            frays: number;
            /**
             * See Through
             * @default false
             */
            see_through: boolean;
            /**
             * One Way
             * @default false
             */
            one_way: boolean;
            /**
             * Sheds
             * @default false
             */
            sheds: boolean;
            /**
             * Breaks Needles
             * @default false
             */
            breaks_needles: boolean;
            /**
             * Repeat Along Mm
             * @default 0
             */
            repeat_along_mm: number;
            /**
             * Repeat Across Mm
             * @default 0
             */
            repeat_across_mm: number;
            /**
             * Width Mm
             * @default 1400
             */
            width_mm: number;
            /**
             * Selvedge Mm
             * @default 10
             */
            selvedge_mm: number;
            /**
             * Price Per M
             * @default 0
             */
            price_per_m: number;
        };
        /**
         * ClothBeside
         * @description A piece of cloth that is neither panel nor let in between panels: what, of which cloth, and its weight.
         */
        ClothBeside: {
            /**
             * What
             * @enum {string}
             */
            what: "panel" | "overlay" | "gusset" | "cup" | "shoulder piece" | "facing" | "flap" | "modesty panel" | "binding" | "frill" | "pad";
            /**
             * Cloth
             * @description A cloth in the catalogue.
             */
            cloth: string;
            /** Grams */
            grams: number;
        };
        /**
         * ClothCut
         * @description All that is cut from one cloth: its pieces, and strips that are cut on the slant beside them.
         *
         *     `strips_mm` is the length of the whole width that those take, `repeats_mm` what matching a repeat takes beside the
         *     pieces. `usable_mm`: selvedge to selvedge. `is_cut`, as any page tells; `ticked`: while making, so that what it was
         *     cut from still lies on the shelf.
         */
        ClothCut: {
            /**
             * Cloth
             * @description A cloth in the catalogue.
             */
            cloth: string;
            /** Is Cut */
            is_cut: boolean;
            /** Ticked */
            ticked: boolean;
            /** Label */
            label: string;
            /** Usable Mm */
            usable_mm: number;
            /** Price Per M */
            price_per_m: number;
            /** One Way */
            one_way: boolean;
            /** Pieces */
            pieces: components["schemas"]["ClothPiece"][];
            /** Strips Mm */
            strips_mm: number;
            /**
             * Repeats Mm
             * @default 0
             */
            repeats_mm: number;
        };
        /**
         * ClothLaid
         * @description A cloth laid out: how much new cloth it takes in all, what it uses of the shelf, and what could be cut from.
         */
        ClothLaid: {
            laying: components["schemas"]["Laying"];
            /** To Buy Mm */
            to_buy_mm: number;
            /** Uses */
            uses: {
                [key: string]: components["schemas"]["Use"] | undefined;
            };
            /** At Hand */
            at_hand: components["schemas"]["OnShelf"][];
        };
        /**
         * ClothPiece
         * @description A piece of cloth to cut: of which ply and cloth, its cut and stitch lines (closed, mm, z up), how many.
         *
         *     `mirrored`: half of them lie face down, as pairs do. `grain` runs along its z (or across it, or at 45°), true to
         *     `tolerance_deg`; `one_way`: all with their top the same way. `ply` is its place from the skin out, `panels` those it
         *     covers, `half` the half that it is for, where it is not for both.
         */
        ClothPiece: {
            /** Key */
            key: string;
            /**
             * What
             * @enum {string}
             */
            what: "panel" | "overlay" | "gusset" | "cup" | "shoulder piece" | "facing" | "flap" | "modesty panel" | "binding" | "frill" | "pad";
            /** Label */
            label: string;
            /** Ply */
            ply: number;
            /**
             * Cloth
             * @description A cloth in the catalogue.
             */
            cloth: string;
            /** Panels */
            panels: number[];
            /** Half */
            half: ("right" | "left") | null;
            /** Count */
            count: number;
            /** Mirrored */
            mirrored: boolean;
            /** Outline */
            outline: [
                number,
                number
            ][];
            /** Stitch */
            stitch: [
                number,
                number
            ][];
            /**
             * Grain
             * @enum {string}
             */
            grain: "along" | "across" | "bias";
            /** Tolerance Deg */
            tolerance_deg: number;
            /** One Way */
            one_way: boolean;
            note: components["schemas"]["Message"];
        };
        /**
         * ClothThere
         * @description A cloth of the garment on the shelf: by how much the hem may be deeper and all still fits (− is higher).
         *
         *     None where no higher hem that can be made fits either. Cloths that are cut already are not told. `panels` are
         *     numbers of panels for which it is enough, while nothing is cut. `edits` give that hem.
         */
        ClothThere: {
            /**
             * Cloth
             * @description A cloth in the catalogue.
             */
            cloth: string;
            /** Label */
            label: string;
            /** Hem Mm */
            hem_mm: number | null;
            /** Panels */
            panels: number[];
            /** Edits */
            edits: (components["schemas"]["SetWidth"] | components["schemas"]["MoveSeam"] | components["schemas"]["LaySeam"] | components["schemas"]["TrimEdge"] | components["schemas"]["MovePoint"] | components["schemas"]["DropPoint"] | components["schemas"]["ShapeLine"] | components["schemas"]["SplitPanel"] | components["schemas"]["DropSeam"] | components["schemas"]["AddGusset"] | components["schemas"]["AddDart"] | components["schemas"]["DropInsert"] | components["schemas"]["JoinSeam"] | components["schemas"]["SetAllowance"] | components["schemas"]["PartHalves"])[];
        };
        /**
         * Compared
         * @description Two versions beside each other: what changed, and the other one laid flat.
         */
        Compared: {
            /** Before */
            before: number;
            /** After */
            after: number;
            comparison: components["schemas"]["Comparison"];
            /** Before Panels */
            before_panels: components["schemas"]["LaidPanel"][];
        };
        /**
         * Comparison
         * @description What changed from one pattern to another: by level, by seam (if the cut is the same), at the edges.
         */
        Comparison: {
            /** Same Cut */
            same_cut: boolean;
            /** Levels */
            levels: components["schemas"]["LevelDifference"][];
            /** Seams */
            seams: components["schemas"]["SeamMark"][];
            /** Edges */
            edges: components["schemas"]["EdgeDifference"][];
            /**
             * Others
             * @description Gussets, darts and allowances that came or went.
             * @default []
             */
            others: components["schemas"]["Message"][];
        };
        /**
         * Consequence
         * @description One thing that follows: why, what, at which stage; `changes` make it so where it is not so yet.
         */
        Consequence: {
            because: components["schemas"]["Message"];
            then: components["schemas"]["Message"];
            /**
             * Stage
             * @enum {string}
             */
            stage: "brief" | "wearer" | "pattern" | "mockups" | "bones" | "front" | "back" | "layers" | "trims" | "cut" | "make" | "record";
            /**
             * Changes
             * @default []
             */
            changes: components["schemas"]["Change-Output"][];
        };
        /**
         * Contents
         * @description What a backup holds, and how much of it is not in the workshop.
         */
        Contents: {
            /** Builds */
            builds: number;
            /** Changes */
            changes: number;
            /** Wearers */
            wearers: number;
            /** Pictures */
            pictures: number;
            /** Newest */
            newest: string | null;
            /** New Builds */
            new_builds: string[];
            /** Changed Builds */
            changed_builds: string[];
            /** Unfit */
            unfit: components["schemas"]["Unfit"][];
        };
        /**
         * CsvRead
         * @description What a CSV would put on the shelf.
         */
        CsvRead: {
            /** Rows */
            rows: components["schemas"]["CsvRow"][];
        };
        /**
         * CsvRow
         * @description A row that came in: as it would be put on the shelf, or what is wrong with it, with the row's number.
         */
        CsvRow: {
            /** Row */
            row: number;
            piece: components["schemas"]["Stock"] | null;
            /** Said */
            said: string;
            /** Fault */
            fault: string | null;
        };
        /**
         * Cup
         * @description A cup's measures, mm: its wire, the way over the bust point from wire to wire, its depth, and its pieces.
         *
         *     `over_point_mm`: so far it reaches above the bust point, along the cup. `points_apart_mm`: bust point to bust point.
         */
        Cup: {
            /** Wire Diameter Mm */
            wire_diameter_mm: number;
            /** Wire Mm */
            wire_mm: number;
            /** Across Mm */
            across_mm: number;
            /** Depth Mm */
            depth_mm: number;
            /** Over Point Mm */
            over_point_mm: number;
            /** Eased In Mm */
            eased_in_mm: number;
            /** Points Apart Mm */
            points_apart_mm: number;
            /** Pieces */
            pieces: components["schemas"]["LaidPiece"][];
        };
        /**
         * CupBoning
         * @description What stiffens a cup: its wire and casing, and the lengths of sewn-through boning on its seams, mm.
         */
        CupBoning: {
            /** Wire Mm */
            wire_mm: number;
            /** Wire Across Mm */
            wire_across_mm: number;
            /** Casing Mm */
            casing_mm: number;
            /** Seam Mm */
            seam_mm: number;
            sentence: components["schemas"]["Message"];
        };
        /**
         * CutAsSeen
         * @description A cloth that is cut as it was seen: what that takes of the shelf, and how much new cloth.
         */
        CutAsSeen: {
            /** Revision */
            revision: number;
            /** Uses */
            uses: {
                [key: string]: components["schemas"]["Use"] | undefined;
            };
            /** To Buy Mm */
            to_buy_mm: number;
        };
        /**
         * CutBone
         * @description A bone that has been cut: for which channel, of what, how long; where no half is named, one for each half.
         */
        CutBone: {
            /** Channel */
            channel: string;
            /** Half */
            half: ("right" | "left") | null;
            /**
             * Kind
             * @description A kind of bone in the catalogue.
             */
            kind: string;
            /** Length Mm */
            length_mm: number;
            /**
             * Count
             * @default 1
             */
            count: number;
        };
        /**
         * CutChoices
         * @description How cloths are laid, what is cut from another cloth or with a join, and what is cut already.
         *
         *     `fold`: cloths whose lengths lie double. `pinned`: pieces that stay where she put them, by cloth. `leave`: pieces of
         *     the shelf that are not to be cut from. `facing`, `modesty`, `binding`: the cloth that these are of, where it is not
         *     that of their ply. `binding_joins`: the binding is cut in shorter strips with so many joins, laid among the pieces.
         */
        CutChoices: {
            /**
             * Fold
             * @default []
             */
            fold: string[];
            /** Pinned */
            pinned: {
                [key: string]: components["schemas"]["Pinned-Output"][] | undefined;
            };
            /**
             * Leave
             * @default []
             */
            leave: string[];
            /** Facing */
            facing: string | null;
            /** Modesty */
            modesty: string | null;
            /** Binding */
            binding: string | null;
            /** Binding Joins */
            binding_joins: number | null;
            /** Done */
            done: {
                [key: string]: components["schemas"]["CutDone"] | undefined;
            };
        };
        /**
         * CutDone
         * @description A cloth that has been cut: when, for which version, how many pieces, and from what of the shelf.
         *
         *     `new_mm` is how much of it was new cloth, that had not been put on the shelf; `frills` are the keys of those
         *     frills and skirts that were cut with it.
         */
        CutDone: {
            /**
             * On
             * Format: date
             */
            on: string;
            /** Version */
            version: number | null;
            /** Pieces */
            pieces: number;
            /**
             * Used
             * @default []
             */
            used: components["schemas"]["Used"][];
            /**
             * Frills
             * @default []
             */
            frills: string[];
            /**
             * New Mm
             * @default 0
             */
            new_mm: number;
        };
        /**
         * CutPiece
         * @description A piece and the bones cut from it, longest first; what is left of it, mm.
         */
        CutPiece: {
            /**
             * Source
             * @enum {string}
             */
            source: "shelf" | "bought" | "coil";
            /** Length Mm */
            length_mm: number;
            /** Bones */
            bones: components["schemas"]["Wanted"][];
            /** Rest Mm */
            rest_mm: number;
        };
        /**
         * CutPlan
         * @description Everything that is cut, cloth by cloth from the skin out, and what is bound, taped and looped.
         */
        CutPlan: {
            /** Cloths */
            cloths: components["schemas"]["ClothCut"][];
            /** Strips */
            strips: components["schemas"]["StripPlan"][];
        };
        /**
         * CuttingPlan
         * @description How the bones of one kind are cut: the pieces, what is bought, what is left, and what can't be had.
         *
         *     `proven`: nothing with fewer pieces bought, or as few and less waste, is possible. `coil_mm` is how much of a coil
         *     is bought. `ends` are cut ends to close.
         */
        CuttingPlan: {
            /**
             * Kind
             * @description A kind of bone in the catalogue.
             */
            kind: string;
            /** Label */
            label: string;
            /** Pieces */
            pieces: components["schemas"]["CutPiece"][];
            /** Bought Mm */
            bought_mm: {
                [key: string]: number | undefined;
            };
            /** Coil Mm */
            coil_mm: number;
            /** Waste Mm */
            waste_mm: number;
            /** Proven */
            proven: boolean;
            /** Unmet */
            unmet: components["schemas"]["Wanted"][];
            /** Ends */
            ends: number;
            /** Price */
            price: number;
        };
        /**
         * Dart
         * @description Cloth stitched away inside a panel: widest at one height, running out at `low_mm` and `high_mm`.
         *
         *     It takes `width_mm` off the girth there, on both halves. `across` is its place in the panel: 0 at its edge
         *     toward CF, 1 at its edge toward CB.
         */
        Dart: {
            /** Panel */
            panel: number;
            /** Across */
            across: number;
            /** Width Mm */
            width_mm: number;
            /** Low Mm */
            low_mm: number;
            /** Widest Mm */
            widest_mm: number;
            /** High Mm */
            high_mm: number;
        };
        /**
         * Device
         * @description A device: how it is called, when it was let in, and when it was last here.
         */
        Device: {
            /** Id */
            id: string;
            /** Name */
            name: string;
            /**
             * Let In At
             * Format: date-time
             */
            let_in_at: string;
            /**
             * Seen At
             * Format: date-time
             */
            seen_at: string;
        };
        /**
         * Differs
         * @description How the mock-up will differ from the final garment, mm of girth; `bow_mm` of the gap.
         */
        Differs: {
            /** Take Up Mm */
            take_up_mm: number;
            /** Stretch Mm */
            stretch_mm: number;
            /** Bow Mm */
            bow_mm: number;
            /** Gap Mm */
            gap_mm: number;
        };
        /**
         * DoStep
         * @description A step that is done. `also`: what it needs was done too; `anyhow`: it was got in although it was shut out.
         */
        DoStep: {
            /** Revision */
            revision: number;
            /**
             * Step
             * @description What a step is known by.
             */
            step: string;
            /**
             * Also
             * @default false
             */
            also?: boolean;
            /**
             * Anyhow
             * @default false
             */
            anyhow?: boolean;
        };
        /**
         * Done
         * @description A step that is done, and when.
         */
        Done: {
            /**
             * Step
             * @description What a step is known by.
             */
            step: string;
            /**
             * On
             * Format: date
             */
            on: string;
        };
        /**
         * DraftChoices
         * @description How the pattern is drafted: panels per half, edges, seam allowances, and what goes with some kinds.
         */
        DraftChoices: {
            /**
             * Panels
             * @default 6
             */
            panels: number;
            /**
             * One Piece
             * @description Panels joined into one piece with darts where they touch.
             * @default false
             */
            one_piece: boolean;
            /**
             * Cups
             * @default false
             */
            cups: boolean;
            /**
             * Shoulder Pieces
             * @default false
             */
            shoulder_pieces: boolean;
            /**
             * @default {
             *       "shape": "plain"
             *     }
             */
            top: components["schemas"]["TopWish"];
            /**
             * @default {
             *       "shape": "plain"
             *     }
             */
            hem: components["schemas"]["HemWish"];
            /**
             * @default {
             *       "seams_mm": 15,
             *       "top_mm": 0,
             *       "hem_mm": 0,
             *       "cf_mm": 20,
             *       "cb_mm": 45,
             *       "by_seam": {}
             *     }
             */
            allowances: components["schemas"]["Allowances"];
            /**
             * Waist Mm
             * @description How far up the waist of the next version goes on its cloth, with all that lies on it.
             * @default 0
             */
            waist_mm: number;
        };
        /**
         * Drawing
         * @description The closed outlines of a drawing from left to right, and what was left out of it.
         */
        Drawing: {
            /** Pieces */
            pieces: components["schemas"]["DrawnPiece"][];
            /** Notes */
            notes: string[];
            /**
             * Needs Unit
             * @default false
             */
            needs_unit: boolean;
        };
        /**
         * DrawnPiece
         * @description A closed outline: its points, its waistline (as drawn, or else where it is narrowest), what it is called.
         */
        DrawnPiece: {
            /** Name */
            name: string;
            /** Points */
            points: [
                number,
                number
            ][];
            /** Waist Mm */
            waist_mm: number | null;
            /**
             * Waist Drawn
             * @default false
             */
            waist_drawn: boolean;
        };
        /**
         * DrawnRead
         * @description A picture read, or so many `together`: three ways to come near it, or why that can't be told.
         *
         *     Of several `picture` is empty, and `spreads` is how far they differ at a level. `says` stands before the numbers.
         *
         *     `unknown`: marked levels of which nothing is measured. `limit_share`: what is comfortable, or the caution.
         *     `makes_so`: what sets a way's target and padding; `rest`: what of the costume has to do what is left of it.
         */
        DrawnRead: {
            /** Picture */
            picture: string;
            found: components["schemas"]["AsDrawn"] | null;
            fault: components["schemas"]["Message"] | null;
            /**
             * Says
             * @default []
             */
            says: components["schemas"]["Message"][];
            /**
             * Unknown
             * @default []
             */
            unknown: (("upper_neck" | "neck_base" | "collarbone" | "high_bust" | "bust" | "underbust" | "ribs" | "waist" | "high_hip" | "hip") | "shoulders")[];
            /**
             * Limit Share
             * @default 0
             */
            limit_share: number;
            /** Makes So */
            makes_so: {
                [key: string]: components["schemas"]["Change-Output"][] | undefined;
            };
            /** Rest */
            rest: {
                [key: string]: components["schemas"]["Message"][] | undefined;
            };
            /**
             * Together
             * @default 0
             */
            together: number;
            /** Spreads */
            spreads: {
                [key: string]: number | undefined;
            };
        };
        /**
         * DrawnSeen
         * @description Every picture of a brief on which widths are marked, read against the wearer.
         */
        DrawnSeen: {
            /** Pictures */
            pictures: components["schemas"]["DrawnRead"][];
        };
        /**
         * DropInsert
         * @description Take out a gusset or dart, by its place in the list.
         */
        DropInsert: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "drop_insert";
            /**
             * What
             * @enum {string}
             */
            what: "gusset" | "dart";
            /** Index */
            index: number;
        };
        /**
         * DropPoint
         * @description Take a point out of the top line or hem.
         */
        DropPoint: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "drop_point";
            /**
             * End
             * @enum {string}
             */
            end: "top" | "hem";
            /**
             * Place
             * @description 0 at CF, 1 at the side, 2 at CB, by width between.
             */
            place: number;
            /**
             * Side
             * @default both
             * @enum {string}
             */
            side: "both" | "right" | "left";
        };
        /**
         * DropSeam
         * @description Drop a panel: join the two at a seam into one. Girths and edges stay; the seam's shape goes to its neighbour.
         */
        DropSeam: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "drop_seam";
            /** Seam */
            seam: number;
        };
        /**
         * EdgeDifference
         * @description How a top line or hem moved at one place; up is positive, mm.
         */
        EdgeDifference: {
            /**
             * Edge
             * @enum {string}
             */
            edge: "top" | "hem";
            /**
             * Place
             * @enum {string}
             */
            place: "CF" | "side" | "CB";
            /** Moved Mm */
            moved_mm: number;
        };
        /**
         * EdgeLayout
         * @description Where things lie at a lacing edge, mm from the fold inward: bones by their middle, the line of holes, its end.
         */
        EdgeLayout: {
            /** Outer Mm */
            outer_mm: number;
            /** Holes Mm */
            holes_mm: number;
            /** Inner Mm */
            inner_mm: number;
            /** Needs Mm */
            needs_mm: number;
        };
        /**
         * EdgeLine
         * @description A top line or hem: its heights at CF, side seam and CB, and points between, from CF to CB.
         *
         *     It crosses CF and CB level (mirrored smoothly) unless a corner is wanted there.
         */
        EdgeLine: {
            /** Cf Mm */
            cf_mm: number;
            /** Side Mm */
            side_mm: number;
            /** Cb Mm */
            cb_mm: number;
            /**
             * Points
             * @default []
             */
            points: components["schemas"]["EdgePoint"][];
            /**
             * Corner At Cf
             * @default false
             */
            corner_at_cf: boolean;
            /**
             * Corner At Cb
             * @default false
             */
            corner_at_cb: boolean;
        };
        /**
         * EdgePoint
         * @description A point of a top line or hem between CF, side and CB; smooth, or a corner.
         */
        EdgePoint: {
            /**
             * Place
             * @description 0 at CF, 1 at the side, 2 at CB, by width between.
             */
            place: number;
            /** Z Mm */
            z_mm: number;
            /**
             * Corner
             * @default false
             */
            corner: boolean;
        };
        /**
         * EdgeSaid
         * @description An edge that sits too high (above zero) or too low, by so much at one place.
         */
        EdgeSaid: {
            /**
             * Edge
             * @enum {string}
             */
            edge: "top" | "hem";
            /**
             * Place
             * @enum {string}
             */
            place: "CF" | "side" | "CB";
            /** Off Mm */
            off_mm: number;
        };
        /**
         * EditPreview
         * @description Edits of the pattern as written: each has a `kind`, and lengths as text or mm.
         */
        EditPreview: {
            /** Edits */
            edits: (components["schemas"]["WrittenSetWidth"] | components["schemas"]["WrittenMoveSeam"] | components["schemas"]["WrittenLaySeam"] | components["schemas"]["WrittenTrimEdge"] | components["schemas"]["WrittenMovePoint"] | components["schemas"]["WrittenDropPoint"] | components["schemas"]["WrittenShapeLine"] | components["schemas"]["WrittenSplitPanel"] | components["schemas"]["WrittenDropSeam"] | components["schemas"]["WrittenAddGusset"] | components["schemas"]["WrittenAddDart"] | components["schemas"]["WrittenDropInsert"] | components["schemas"]["WrittenJoinSeam"] | components["schemas"]["WrittenSetAllowance"] | components["schemas"]["WrittenPartHalves"])[];
        };
        /**
         * EditedPattern
         * @description The pattern after edits, laid flat and trued, and the sewn girth at every level.
         */
        EditedPattern: {
            /** Panels */
            panels: components["schemas"]["LaidPanel"][];
            /** Left Panels */
            left_panels: components["schemas"]["LaidPanel"][] | null;
            /** Sewn Mm */
            sewn_mm: {
                [key: string]: number | undefined;
            };
            /** Seams */
            seams: components["schemas"]["TruedSeam"][];
        };
        /**
         * Fact
         * @description A line of the card. `number` is what cards are compared by: mm, pieces, grams, hours, money; see `counted`.
         */
        Fact: {
            /**
             * Group
             * @enum {string}
             */
            group: "measures" | "made of" | "took";
            /** Name */
            name: string;
            value: components["schemas"]["Message"];
            /** Number */
            number: number | null;
            /** Counted */
            counted: ("length" | "run" | "count" | "grams" | "hours" | "cost") | null;
        };
        /**
         * Fault
         * @description One thing wrong with a Build: where, and a plain sentence.
         */
        Fault: {
            /** At */
            at: string;
            /** Sentence */
            sentence: string;
        };
        /**
         * Finding
         * @description Something to tell, where it applies, the quantities behind it, and what would mend it.
         */
        Finding: {
            /** Code */
            code: string;
            /**
             * Stage
             * @enum {string}
             */
            stage: "brief" | "wearer" | "pattern" | "mockups" | "bones" | "front" | "back" | "layers" | "trims" | "cut" | "make" | "record";
            /**
             * Severity
             * @enum {string}
             */
            severity: "stop" | "caution" | "advice";
            sentence: components["schemas"]["Message"];
            /**
             * At
             * @description Dotted path of the field it belongs to, if it has one.
             */
            at: string | null;
            /**
             * Where
             * @description Panel, seam, level, channel or row.
             */
            where: string | null;
            /** Numbers */
            numbers: {
                [key: string]: number | undefined;
            };
            mend: components["schemas"]["Mend"] | null;
        };
        /**
         * Fit
         * @description How a garment settles: by level, along the lacing edge, and as a whole.
         *
         *     `holds_up_n` is what friction holds of a weight on it, `shape_holds_n` what her shape adds, from edge to edge.
         */
        Fit: {
            /** Levels */
            levels: components["schemas"]["LevelFit"][];
            shape: components["schemas"]["GapShape"];
            /** Z Mm */
            z_mm: number[];
            /** Gap Mm */
            gap_mm: number[];
            /** Pressure Kpa */
            pressure_kpa: number[];
            /** Pull N Per M */
            pull_n_per_m: number;
            /** Edge N M2 */
            edge_n_m2: number;
            /** Take Up Mm */
            take_up_mm: number;
            /** Stretch Mm */
            stretch_mm: number;
            /** Holds Up N */
            holds_up_n: number;
            /** Shape Holds N */
            shape_holds_n: number;
        };
        /**
         * Fitting
         * @description One trying-on of a mock-up: what it had, how hard it was pulled, and what was seen.
         */
        Fitting: {
            /** Number */
            number: number;
            /** Version */
            version: number;
            /** Tried On */
            tried_on: string | null;
            /**
             * Pull
             * @default close
             * @enum {string}
             */
            pull: "light" | "close" | "firm";
            /**
             * @default {
             *       "stack": {
             *         "fashion_mm": 0,
             *         "lining_mm": 0,
             *         "strength": "calico",
             *         "worn_under_mm": 0
             *       },
             *       "edge_bone": "cable_tie_8",
             *       "boned": true,
             *       "closing": "laced",
             *       "strip": true
             *     }
             */
            made_of: components["schemas"]["MockUp"];
            /**
             * Pads
             * @description The padding that she had under it.
             * @default []
             */
            pads: components["schemas"]["Pad"][];
            /**
             * Finished
             * @description The finished garment was tried on, and no mock-up.
             * @default false
             */
            finished: boolean;
            /**
             * Under
             * @description What she wore under it.
             * @default
             */
            under: string;
            /**
             * Readings
             * @default []
             */
            readings: components["schemas"]["GapReading"][];
            /**
             * Words
             * @default []
             */
            words: components["schemas"]["SaidAt"][];
            /**
             * Stand Offs
             * @default []
             */
            stand_offs: components["schemas"]["StandOff"][];
            /**
             * Laced
             * @default []
             */
            laced: components["schemas"]["LacedGirth"][];
            /**
             * Under It
             * @default []
             */
            under_it: components["schemas"]["UnderGirth"][];
            /**
             * Also
             * @description Lacings before or after, as pulled.
             * @default []
             */
            also: components["schemas"]["AlsoLaced"][];
            /**
             * Taps
             * @default []
             */
            taps: components["schemas"]["Tap"][];
            /**
             * Pinches
             * @default []
             */
            pinches: components["schemas"]["Pinch"][];
            /**
             * Edges
             * @default []
             */
            edges: components["schemas"]["EdgeSaid"][];
            /**
             * Rides Mm
             * @description How far above her waist the garment's waist sits.
             */
            rides_mm: number | null;
            /**
             * Swings Mm
             * @description How far to the front of where it should be the side seam hangs.
             */
            swings_mm: number | null;
            /**
             * Moved
             * @default []
             */
            moved: components["schemas"]["Moved"][];
            /**
             * Photos
             * @default []
             */
            photos: components["schemas"]["BackPhoto-Output"][];
            /** Hours */
            hours: number | null;
            /**
             * Cost
             * @description In the workshop's money.
             */
            cost: number | null;
            /**
             * Note
             * @default
             */
            note: string;
            /**
             * Corrected
             * @description How often it was corrected after it was logged.
             * @default 0
             */
            corrected: number;
        };
        /**
         * FittingField
         * @description A field of a fitting as it is asked.
         *
         *     `cells` by the fields of an entry where it is a list (with `keys`, an entry each; without, as many as she adds), or
         *     under "" where it is one value. `teaches`: something of the fit can be learned from it, besides gaps.
         */
        FittingField: {
            /** Field */
            field: string;
            /** Label */
            label: string;
            /**
             * Part
             * @enum {string}
             */
            part: "head" | "levels" | "taps" | "pinches" | "edges" | "moves" | "notes";
            /** Cells */
            cells: {
                [key: string]: components["schemas"]["Cell"] | undefined;
            };
            /**
             * Keys
             * @default []
             */
            keys: components["schemas"]["Key"][];
            /**
             * Listed
             * @default false
             */
            listed: boolean;
            /**
             * Teaches
             * @default false
             */
            teaches: boolean;
            /** In Place Of */
            in_place_of: [
                string,
                string
            ] | null;
        };
        /**
         * FittingGarment
         * @description A garment of hers that fits: what it measures, and how it sits, tell of her body as a fitting does.
         */
        FittingGarment: {
            /**
             * Name
             * @default
             */
            name: string;
            /** Levels */
            levels: components["schemas"]["GarmentLevel"][];
        };
        /**
         * FlossAt
         * @description A bone end that is flossed: which channel and panel, which end, and where on the panel.
         */
        FlossAt: {
            /** Channel */
            channel: string;
            /** Panel */
            panel: number;
            /** End */
            end: string;
            /** At */
            at: [
                number,
                number
            ];
        };
        /**
         * Flossing
         * @description Flossing at the ends of bones: which pattern and size, at which ends and channels (none: all of them).
         */
        Flossing: {
            /** Key */
            key: string;
            /**
             * Pattern
             * @default fan
             * @enum {string}
             */
            pattern: "bar" | "cross" | "fan" | "arrow";
            /**
             * High Mm
             * @default 20
             */
            high_mm: number;
            /**
             * Wide Mm
             * @default 12
             */
            wide_mm: number;
            /**
             * Strands
             * @default 1
             */
            strands: number;
            /**
             * Ends
             * @default both
             * @enum {string}
             */
            ends: "top" | "hem" | "both";
            /**
             * Channels
             * @default []
             */
            channels: string[];
        };
        /**
         * FlossingLaid
         * @description Flossing as it is done: where, how many bone ends in both halves, thread in all and for each, stitches each.
         */
        FlossingLaid: {
            /** At */
            at: components["schemas"]["FlossAt"][];
            /** Count */
            count: number;
            /** Stitches */
            stitches: number;
            /** Thread Each Mm */
            thread_each_mm: number;
            /** Thread Mm */
            thread_mm: number;
            /** Works */
            works: [
                "cut a ply" | "mark" | "baste by machine" | "baste by hand" | "fuse" | "sew a seam" | "sew a curved seam" | "press a seam" | "topstitch a seam" | "sandwich seam" | "grade a seam" | "channel stitching" | "inside tape" | "outside tape" | "facing" | "binding on" | "binding by hand" | "binding in the ditch" | "floating lining" | "cut a flat bone" | "cut a spiral bone" | "cut a synthetic bone" | "dip a coat" | "bone in" | "busk" | "separating zip" | "hidden zip" | "hooks by hand" | "hooks by tape" | "grommet" | "worked eyelet" | "tape loop" | "waist tape" | "modesty panel" | "modesty bone" | "flap" | "slashed gusset" | "gusset in a seam" | "dart" | "cup" | "lace new" | "shoulder piece" | "mock-up" | "fitting" | "gather and sew on" | "flossing" | "beads along a line" | "bead by itself" | "light embroidery" | "dense embroidery" | "lace motif" | "trim by hand" | "trim by machine" | "hem rolled" | "hem by hand" | "loop for a trim" | "strap" | "cut a pad" | "shape a pad" | "cover a pad",
                number
            ][];
        };
        /**
         * FlossingShown
         * @description Flossing at bone ends.
         */
        FlossingShown: {
            /** Key */
            key: string;
            /** Name */
            name: string;
            /**
             * Parts
             * @default []
             */
            parts: components["schemas"]["OnPanel"][];
            /**
             * Left Parts
             * @default []
             */
            left_parts: components["schemas"]["OnPanel"][];
            fault: components["schemas"]["Message"] | null;
            /** Fault At */
            fault_at: string | null;
            /**
             * Minutes
             * @default 0
             */
            minutes: number;
            laid: components["schemas"]["FlossingLaid"] | null;
        };
        /**
         * Foreseen
         * @description What a garment is expected to do on the body as believed, from the hem up, with spreads (one standard deviation).
         *
         *     Gap and stand-off in mm, pressure in kPa.
         */
        Foreseen: {
            /** Z Mm */
            z_mm: number[];
            /** Gap Mm */
            gap_mm: number[];
            /** Gap Spread Mm */
            gap_spread_mm: number[];
            /** Pressure Kpa */
            pressure_kpa: number[];
            /** Pressure Spread Kpa */
            pressure_spread_kpa: number[];
            /** Stand Off Mm */
            stand_off_mm: number[];
        };
        /**
         * FreeArea
         * @description A free part of a panel: its outline, size, and the box that it fills.
         */
        FreeArea: {
            /** Panel */
            panel: number;
            /** Outline */
            outline: [
                number,
                number
            ][];
            /** Cm2 */
            cm2: number;
            /** Wide Mm */
            wide_mm: number;
            /** High Mm */
            high_mm: number;
        };
        /**
         * FreeRooms
         * @description What is free on each panel of a half, and on which a motif of a size has room.
         */
        FreeRooms: {
            /** Rooms */
            rooms: components["schemas"]["PanelRoom"][];
            /** Fits */
            fits: number[];
        };
        /**
         * FrontChoices
         * @description How the garment opens, apart from the lacing behind.
         *
         *     `line`: CF, CB, side, or a seam (2·3), for zips and hooks; side and seams open on one `half`, or on both. `busk` is
         *     one of the maker's own, measured; None takes the longest of those sold that fits, and `thin` says that it bends by
         *     hand. Where a zip or the hooks begin and end is told from the edges of the garment; None takes the house number.
         */
        FrontChoices: {
            /**
             * Opening
             * @default busk
             * @enum {string}
             */
            opening: "busk" | "zip" | "hidden zip" | "hooks" | "lacing" | "none";
            /**
             * Line
             * @default CF
             */
            line: string;
            /**
             * Half
             * @default left
             * @enum {string}
             */
            half: "both" | "right" | "left";
            busk: components["schemas"]["BuskStock"] | null;
            /**
             * Thin
             * @default false
             */
            thin: boolean;
            /**
             * Flap
             * @description A flap behind that hides the opening.
             * @default false
             */
            flap: boolean;
            /** From Top Mm */
            from_top_mm: number | null;
            /** From Hem Mm */
            from_hem_mm: number | null;
            /**
             * Zip Mm
             * @description The teeth of a zip of her own; None takes one that is sold.
             */
            zip_mm: number | null;
            /** Hook Count */
            hook_count: number | null;
            /**
             * Hook Pitch Mm
             * @default 15
             */
            hook_pitch_mm: number;
        };
        /**
         * Gain
         * @description A choice that saves time: what it saves, and the odds with it and without. `leave_out` are steps left out.
         */
        Gain: {
            title: components["schemas"]["Message"];
            cost: components["schemas"]["Message"];
            /** Minutes */
            minutes: number;
            /** Probability */
            probability: number;
            /** Before */
            before: number;
            /**
             * Changes
             * @default []
             */
            changes: components["schemas"]["Change-Output"][];
            /**
             * Leave Out
             * @default []
             */
            leave_out: string[];
        };
        /**
         * Gains
         * @description What would buy odds, the most first.
         */
        Gains: {
            /** Gains */
            gains: components["schemas"]["Gain"][];
        };
        /**
         * GapReading
         * @description The gap between the edges at a height on the back; from a photo with the spread of its marks.
         *
         *     Below zero only where it was pinned: so much further in than the edges.
         */
        GapReading: {
            /** Z Mm */
            z_mm: number;
            /** Gap Mm */
            gap_mm: number;
            /** Spread Mm */
            spread_mm: number | null;
        };
        /**
         * GapSeen
         * @description A gap on the picture: its height above the zero line, and how far both are off, one standard deviation, mm.
         */
        GapSeen: {
            /** Z Mm */
            z_mm: number;
            /** Z Spread Mm */
            z_spread_mm: number;
            /** Gap Mm */
            gap_mm: number;
            /** Spread Mm */
            spread_mm: number;
        };
        /**
         * GapShape
         * @description The gap as a whole: a word, and its tilt (top minus bottom) and bow (middle minus ends) in mm.
         */
        GapShape: {
            /**
             * Shape
             * @enum {string}
             */
            shape: "parallel" | "wide at top" | "wide at bottom" | "wide at waist" | "narrow at waist" | "closed" | "overlapping";
            /** Mean Mm */
            mean_mm: number;
            /** Tilt Mm */
            tilt_mm: number;
            /** Bow Mm */
            bow_mm: number;
        };
        /**
         * GarmentKind
         * @description One kind of garment. `panels` are fewest, usual and most in each half; `tied` is laced to a set gap.
         */
        GarmentKind: {
            /**
             * Name
             * @enum {string}
             */
            name: "underbust corset" | "overbust corset" | "cincher" | "longline corset" | "boned bodice" | "strapless bodice" | "foundation bodice" | "neck corset";
            /** What */
            what: string;
            /** Levels */
            levels: ("upper_neck" | "neck_base" | "collarbone" | "high_bust" | "bust" | "underbust" | "ribs" | "waist" | "high_hip" | "hip")[];
            /** Needed */
            needed: ("upper_neck" | "neck_base" | "collarbone" | "high_bust" | "bust" | "underbust" | "ribs" | "waist" | "high_hip" | "hip")[];
            /** Panels */
            panels: [
                number,
                number,
                number
            ];
            /** Reduces */
            reduces: boolean;
            /** Percent */
            percent: number;
            /** Gap Mm */
            gap_mm: number;
            /** Busk */
            busk: boolean;
            /**
             * Tied
             * @default false
             */
            tied: boolean;
            /**
             * Cups
             * @default false
             */
            cups: boolean;
            /**
             * Edge Bone
             * @description A kind of bone in the catalogue.
             * @default flat_12
             */
            edge_bone: string;
        };
        /**
         * GarmentLevel
         * @description A garment of hers at a level: its girth inside as she wears it, gap and all, and how it sits there.
         */
        GarmentLevel: {
            /**
             * Level
             * @enum {string}
             */
            level: "upper_neck" | "neck_base" | "collarbone" | "high_bust" | "bust" | "underbust" | "ribs" | "waist" | "high_hip" | "hip";
            /** Girth Mm */
            girth_mm: number;
            /**
             * Word
             * @default right
             * @enum {string}
             */
            word: "digs" | "firm" | "right" | "light" | "stands off";
        };
        /**
         * GarmentPhoto
         * @description A photo of the garment, and from where it was taken.
         */
        GarmentPhoto: {
            /**
             * Id
             * @description SHA-256 of the picture's bytes.
             */
            id: string;
            /**
             * Name
             * @default
             */
            name: string;
            /** Width Px */
            width_px: number;
            /** Height Px */
            height_px: number;
            /**
             * View
             * @default front
             * @enum {string}
             */
            view: "front" | "side" | "back" | "detail";
        };
        /**
         * Grown
         * @description What the gap told of the cloth: how far it closed from the first wear to the last, in how many wears.
         */
        Grown: {
            /**
             * Cloth
             * @description A cloth in the catalogue.
             */
            cloth: string;
            /** Closed Mm */
            closed_mm: number;
            /** Wears */
            wears: number;
            /** Round Mm */
            round_mm: number;
        };
        /**
         * Gusset
         * @description A wedge let into a seam, or slashed into a panel, from an edge: so wide there, so deep.
         *
         *     It widens the girth, on both halves. A slash runs `across` of the way from the panel's edge toward CF to that toward
         *     CB.
         */
        Gusset: {
            /** Seam */
            seam: number | null;
            /**
             * Panel
             * @description Slashed into this panel, and in no seam.
             */
            panel: number | null;
            /**
             * Across
             * @default 0.5
             */
            across: number;
            /**
             * End
             * @enum {string}
             */
            end: "top" | "hem";
            /** Width Mm */
            width_mm: number;
            /** Depth Mm */
            depth_mm: number;
            /**
             * Tip Mm
             * @description Height of its point.
             */
            tip_mm: number;
        };
        /**
         * Hanging
         * @description A frill along a line, or a skirt, peplum or apron: gathered in tiers, or cut as part of a circle.
         *
         *     `at_hand_mm` is the length of cloth that there is for it; then the fullness of one tier follows. A `detached` one
         *     has a band of its own. `opens` is where it opens: it has to be where the bodice does.
         */
        Hanging: {
            /** Key */
            key: string;
            /**
             * Name
             * @default frill
             */
            name: string;
            /**
             * @default {
             *       "on": "hem",
             *       "spots": [],
             *       "half": "both",
             *       "in_mm": 0
             *     }
             */
            line: components["schemas"]["TrimLine"];
            /**
             * Cut
             * @default gathered
             * @enum {string}
             */
            cut: "gathered" | "circle";
            /**
             * Tiers
             * @default [
             *       {
             *         "depth_mm": 60,
             *         "fullness": 2
             *       }
             *     ]
             */
            tiers: components["schemas"]["Tier"][];
            /**
             * Part
             * @default full
             * @enum {string}
             */
            part: "half" | "three quarter" | "full" | "double";
            /**
             * Cloth
             * @description A cloth in the catalogue.
             * @default sateen
             */
            cloth: string;
            /**
             * Strips
             * @default across
             * @enum {string}
             */
            strips: "across" | "along";
            /**
             * Hem
             * @default rolled by machine
             * @enum {string}
             */
            hem: "rolled by machine" | "by hand" | "not hemmed";
            /**
             * Hem Mm
             * @default 10
             */
            hem_mm: number;
            /**
             * Heading Mm
             * @default 0
             */
            heading_mm: number;
            /** At Hand Mm */
            at_hand_mm: number | null;
            /** Opens */
            opens: ("CF" | "CB" | "side" | "nowhere") | null;
            /**
             * Own Band
             * @default false
             */
            own_band: boolean;
            /**
             * More Grams
             * @default 0
             */
            more_grams: number;
        };
        /**
         * HangingShown
         * @description A frill or skirt: the line it is sewn to, in all, its tiers or its circle, and what it takes.
         *
         *     `grams` of its cloth and of what else hangs on it. `at_hand`: the fullness is what the cloth at hand gives.
         */
        HangingShown: {
            /** Key */
            key: string;
            /** Name */
            name: string;
            /**
             * Parts
             * @default []
             */
            parts: components["schemas"]["OnPanel"][];
            /**
             * Left Parts
             * @default []
             */
            left_parts: components["schemas"]["OnPanel"][];
            fault: components["schemas"]["Message"] | null;
            /** Fault At */
            fault_at: string | null;
            /**
             * Minutes
             * @default 0
             */
            minutes: number;
            /**
             * Along Mm
             * @default 0
             */
            along_mm: number;
            /**
             * Tiers
             * @default []
             */
            tiers: components["schemas"]["TierCut"][];
            circle: components["schemas"]["Circle"] | null;
            /**
             * At Hand
             * @default false
             */
            at_hand: boolean;
            /**
             * Cloth
             * @description A cloth in the catalogue.
             * @default
             */
            cloth: string;
            /**
             * Cloth Label
             * @default
             */
            cloth_label: string;
            /** Cloth Mm */
            cloth_mm: number | null;
            /**
             * Hem Mm
             * @default 0
             */
            hem_mm: number;
            /**
             * Grams
             * @default 0
             */
            grams: number;
            /**
             * Price
             * @default 0
             */
            price: number;
            /**
             * Own Band
             * @default false
             */
            own_band: boolean;
            /**
             * Opens
             * @default
             */
            opens: string;
            /**
             * Works
             * @default []
             */
            works: [
                "cut a ply" | "mark" | "baste by machine" | "baste by hand" | "fuse" | "sew a seam" | "sew a curved seam" | "press a seam" | "topstitch a seam" | "sandwich seam" | "grade a seam" | "channel stitching" | "inside tape" | "outside tape" | "facing" | "binding on" | "binding by hand" | "binding in the ditch" | "floating lining" | "cut a flat bone" | "cut a spiral bone" | "cut a synthetic bone" | "dip a coat" | "bone in" | "busk" | "separating zip" | "hidden zip" | "hooks by hand" | "hooks by tape" | "grommet" | "worked eyelet" | "tape loop" | "waist tape" | "modesty panel" | "modesty bone" | "flap" | "slashed gusset" | "gusset in a seam" | "dart" | "cup" | "lace new" | "shoulder piece" | "mock-up" | "fitting" | "gather and sew on" | "flossing" | "beads along a line" | "bead by itself" | "light embroidery" | "dense embroidery" | "lace motif" | "trim by hand" | "trim by machine" | "hem rolled" | "hem by hand" | "loop for a trim" | "strap" | "cut a pad" | "shape a pad" | "cover a pad",
                number
            ][];
        };
        /**
         * Helps
         * @description What would help where a garment slips: what it is, the load after it, and what makes it so.
         */
        Helps: {
            what: components["schemas"]["Message"];
            after: components["schemas"]["Load"];
            /**
             * Does
             * @enum {string}
             */
            does: "band" | "straps" | "stay";
        };
        /**
         * HemWish
         * @description How far the hem lies below the zero line, and its shape; None takes the suggestion.
         */
        HemWish: {
            /** Cf Mm */
            cf_mm: number | null;
            /** Side Mm */
            side_mm: number | null;
            /** Cb Mm */
            cb_mm: number | null;
            /**
             * Shape
             * @default plain
             * @enum {string}
             */
            shape: "plain" | "sweetheart" | "scoop" | "point" | "swoop";
        };
        /**
         * Hole
         * @description A hole by its row from the top down (0 first) and its side, as seen from behind.
         */
        Hole: {
            /** Row */
            row: number;
            /**
             * Side
             * @enum {string}
             */
            side: "left" | "right";
        };
        /**
         * Holes
         * @description Heights of the holes from the top down, the same on both sides; each lies `inset_mm` from the fold.
         */
        Holes: {
            /** Z Mm */
            z_mm: number[];
            /** Inset Mm */
            inset_mm: number;
            right: components["schemas"]["PlacedHoles"];
            left: components["schemas"]["PlacedHoles"];
            /** Count */
            count: number;
            /** Spares */
            spares: number;
            /** Label */
            label: string;
            /** Die */
            die: string;
            /** Hole Mm */
            hole_mm: number;
            /** Flange Mm */
            flange_mm: number;
            /** Usual Pitch Mm */
            usual_pitch_mm: number;
            /** Minutes */
            minutes: number;
            /** Holds N */
            holds_n: number;
            /** Rows */
            rows: components["schemas"]["Row"][];
            edge_layout: components["schemas"]["EdgeLayout"];
            /** Edge Carries */
            edge_carries: boolean;
            /** Front Z Mm */
            front_z_mm: number[];
            /** Lace Label */
            lace_label: string;
            /** Lace Width Mm */
            lace_width_mm: number;
            /** Lace Mind */
            lace_mind: string;
        };
        /**
         * Hours
         * @description Minutes of work by weekday, Monday first, and days on which there are none.
         */
        "Hours-Input": {
            /**
             * By Weekday
             * @default [
             *       120,
             *       120,
             *       120,
             *       120,
             *       60,
             *       300,
             *       240
             *     ]
             */
            by_weekday?: [
                number,
                number,
                number,
                number,
                number,
                number,
                number
            ];
            /**
             * Off
             * @default []
             */
            off?: string[];
        };
        /**
         * Hours
         * @description Minutes of work by weekday, Monday first, and days on which there are none.
         */
        "Hours-Output": {
            /**
             * By Weekday
             * @default [
             *       120,
             *       120,
             *       120,
             *       120,
             *       60,
             *       300,
             *       240
             *     ]
             */
            by_weekday: [
                number,
                number,
                number,
                number,
                number,
                number,
                number
            ];
            /**
             * Off
             * @default []
             */
            off: string[];
        };
        /**
         * House
         * @description Settings of the workshop.
         */
        "House-Input": {
            /**
             * Unit
             * @default cm
             * @enum {string}
             */
            unit?: "cm" | "in";
            /**
             * Theme
             * @default light
             * @enum {string}
             */
            theme?: "light" | "dark";
            /**
             * Paper
             * @default a4
             * @enum {string}
             */
            paper?: "a4" | "letter";
            /**
             * @default {
             *       "by_weekday": [
             *         120,
             *         120,
             *         120,
             *         120,
             *         60,
             *         300,
             *         240
             *       ],
             *       "off": []
             *     }
             */
            hours?: components["schemas"]["Hours-Input"];
            /**
             * Known
             * @description Stages that she has worked in.
             * @default []
             */
            known?: ("brief" | "wearer" | "pattern" | "mockups" | "bones" | "front" | "back" | "layers" | "trims" | "cut" | "make" | "record")[];
        };
        /**
         * House
         * @description Settings of the workshop.
         */
        "House-Output": {
            /**
             * Unit
             * @default cm
             * @enum {string}
             */
            unit: "cm" | "in";
            /**
             * Theme
             * @default light
             * @enum {string}
             */
            theme: "light" | "dark";
            /**
             * Paper
             * @default a4
             * @enum {string}
             */
            paper: "a4" | "letter";
            /**
             * @default {
             *       "by_weekday": [
             *         120,
             *         120,
             *         120,
             *         120,
             *         60,
             *         300,
             *         240
             *       ],
             *       "off": []
             *     }
             */
            hours: components["schemas"]["Hours-Output"];
            /**
             * Known
             * @description Stages that she has worked in.
             * @default []
             */
            known: ("brief" | "wearer" | "pattern" | "mockups" | "bones" | "front" | "back" | "layers" | "trims" | "cut" | "make" | "record")[];
        };
        /**
         * HouseNumber
         * @description A house number with its reason and range.
         */
        HouseNumber: {
            /** Name */
            name: string;
            /** Reason */
            reason: string;
            /** Usual */
            usual: number;
            /** Low */
            low: number;
            /** High */
            high: number;
        };
        /**
         * Interval
         * @description A stretch of the loop-side seam, measured from the top stitch line of CF down, mm.
         */
        Interval: {
            /**
             * Kind
             * @enum {string}
             */
            kind: "sew" | "leave";
            /** From Mm */
            from_mm: number;
            /** To Mm */
            to_mm: number;
        };
        /**
         * Join
         * @description A panel that is cut in two, with a join across it at a height.
         */
        Join: {
            /** Panel */
            panel: number;
            /** Z Mm */
            z_mm: number;
        };
        /**
         * JoinSeam
         * @description Cut the panels at a seam as one piece, with a dart for what lies between; or as two again.
         */
        JoinSeam: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "join";
            /** Seam */
            seam: number;
            /** Joined */
            joined: boolean;
        };
        /**
         * KeepCloth
         * @description A cloth to keep in the build's catalogue, as written; what is not written is as the cloth of the `ply` it is for.
         *
         *     Without a name it is new.
         */
        KeepCloth: {
            /** Revision */
            revision: number;
            cloth: components["schemas"]["WrittenOwnCloth"];
            /** Ply */
            ply?: number | null;
        };
        /**
         * KeepKind
         * @description A kind of bone to keep in the build's catalogue, as written: lengths as text or mm. Without a name it is new.
         */
        KeepKind: {
            /** Revision */
            revision: number;
            kind: components["schemas"]["WrittenBoneKind"];
        };
        /**
         * KeepMeasures
         * @description Keep a build's measures in the book, as of a day.
         */
        KeepMeasures: {
            /** Revision */
            revision: number;
            /** Taken On */
            taken_on?: string | null;
        };
        /**
         * KeptCopy
         * @description A copy of the database that Fuseau keeps by itself.
         */
        KeptCopy: {
            /** Name */
            name: string;
            /**
             * Made At
             * Format: date-time
             */
            made_at: string;
            /** Size Bytes */
            size_bytes: number;
        };
        /**
         * KeptPhoto
         * @description A photo as it is kept.
         */
        KeptPhoto: {
            /** Id */
            id: string;
            /** Width Px */
            width_px: number;
            /** Height Px */
            height_px: number;
        };
        /**
         * Key
         * @description An entry that a table of answers always offers: the fields that name it, and what it is called.
         */
        Key: {
            /** Name */
            name: string;
            /** Label */
            label: string;
            /** Of */
            of: {
                [key: string]: string | undefined;
            };
            /**
             * Below Zero Line
             * @default false
             */
            below_zero_line: boolean;
        };
        /**
         * Knot
         * @description One stage on the thread: its state, and a note of a few words.
         */
        Knot: {
            /**
             * Stage
             * @enum {string}
             */
            stage: "brief" | "wearer" | "pattern" | "mockups" | "bones" | "front" | "back" | "layers" | "trims" | "cut" | "make" | "record";
            /**
             * State
             * @enum {string}
             */
            state: "empty" | "in hand" | "settled" | "look again";
            note: components["schemas"]["Message"];
        };
        /**
         * KnownArticles
         * @description Every article of the catalogue.
         */
        KnownArticles: {
            /** Articles */
            articles: components["schemas"]["Article"][];
        };
        /**
         * Lace
         * @description Lengths of lace, mm: worn, and open wide enough to get in; what hangs loose when worn.
         */
        Lace: {
            /** Worn Mm */
            worn_mm: number;
            /** Getting In Mm */
            getting_in_mm: number;
            /** Cut Mm */
            cut_mm: number;
            /** Loose When Worn Mm */
            loose_when_worn_mm: number;
        };
        /**
         * LaceStep
         * @description One step of the walk: an end goes on to a hole; how much lace lies on the way (mm), and how it is said.
         */
        LaceStep: {
            /**
             * End
             * @enum {string}
             */
            end: "left end" | "right end" | "lace";
            to: components["schemas"]["Hole"];
            /**
             * Way
             * @enum {string}
             */
            way: "start" | "bar" | "cross" | "loop" | "slant";
            /** Lace Mm */
            lace_mm: number;
            sentence: components["schemas"]["Message"];
        };
        /**
         * LacedGirth
         * @description A girth taped over the laced garment at a level.
         */
        LacedGirth: {
            /**
             * Level
             * @enum {string}
             */
            level: "upper_neck" | "neck_base" | "collarbone" | "high_bust" | "bust" | "underbust" | "ribs" | "waist" | "high_hip" | "hip";
            /** Girth Mm */
            girth_mm: number;
        };
        /**
         * LaidPanel
         * @description A panel as it lies on the table: closed stitch-line outline and its parts, points (x, z) in mm.
         */
        LaidPanel: {
            /** Number */
            number: number;
            /** Outline */
            outline: [
                number,
                number
            ][];
            /** Cf Edge */
            cf_edge: [
                number,
                number
            ][];
            /** Cb Edge */
            cb_edge: [
                number,
                number
            ][];
            /** Top */
            top: [
                number,
                number
            ][];
            /** Hem */
            hem: [
                number,
                number
            ][];
            /** Waist */
            waist: [
                [
                    number,
                    number
                ],
                [
                    number,
                    number
                ]
            ];
            /** Grain */
            grain: [
                [
                    number,
                    number
                ],
                [
                    number,
                    number
                ]
            ];
            /** Widths Mm */
            widths_mm: {
                [key: string]: number | undefined;
            };
            /** Cf Notches */
            cf_notches: components["schemas"]["Notch"][];
            /** Cb Notches */
            cb_notches: components["schemas"]["Notch"][];
            /**
             * Darts
             * @default []
             */
            darts: [
                number,
                number
            ][][];
            /**
             * Slashes
             * @default []
             */
            slashes: [
                number,
                number
            ][][];
        };
        /**
         * LaidPiece
         * @description A piece beside the panels (gusset, cup, shoulder piece): outline, what its edges measure and are sewn to, mm.
         */
        LaidPiece: {
            /** Name */
            name: string;
            /** Outline */
            outline: [
                number,
                number
            ][];
            /** Note */
            note: string;
            /** Edges Mm */
            edges_mm: {
                [key: string]: number | undefined;
            };
            /** Sewn To Mm */
            sewn_to_mm: {
                [key: string]: number | undefined;
            };
            /**
             * Cut
             * @default 2
             */
            cut: number;
            /**
             * Panels
             * @description The panels that it is let in between; none: all of them.
             * @default []
             */
            panels: number[];
            /**
             * Gains Mm
             * @description Girth that it adds by level, both halves.
             */
            gains_mm: {
                [key: string]: number | undefined;
            };
            /**
             * Notches
             * @description Places on its outline that meet a neighbour's.
             * @default []
             */
            notches: [
                number,
                number
            ][];
        };
        /**
         * LaidSheet
         * @description A sheet with the pieces on it, and the share of it that they use.
         */
        LaidSheet: {
            sheet: components["schemas"]["Sheet"];
            /** Placed */
            placed: components["schemas"]["Placed"][];
            /** Used Share */
            used_share: number;
        };
        /**
         * LaySeam
         * @description Lay a seam elsewhere: so much toward CB (+) at each of these levels; girths stay.
         */
        LaySeam: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "lay_seam";
            /** Seam */
            seam: number;
            /** Shifts */
            shifts: components["schemas"]["SeamShift"][];
            /**
             * Side
             * @default both
             * @enum {string}
             */
            side: "both" | "right" | "left";
        };
        /**
         * Layers
         * @description Every ply from the skin out, what is worn under them, and how they are made up.
         */
        Layers: {
            /**
             * Plies
             * @default [
             *       {
             *         "role": "lining",
             *         "cloth": "lawn",
             *         "grain": "along",
             *         "grain_free": false,
             *         "joins": [],
             *         "matched": false,
             *         "motif_on": []
             *       },
             *       {
             *         "role": "strength",
             *         "cloth": "coutil",
             *         "grain": "along",
             *         "grain_free": false,
             *         "joins": [],
             *         "matched": false,
             *         "motif_on": []
             *       },
             *       {
             *         "role": "fashion",
             *         "cloth": "sateen",
             *         "grain": "along",
             *         "grain_free": false,
             *         "joins": [],
             *         "matched": false,
             *         "motif_on": []
             *       }
             *     ]
             */
            plies: components["schemas"]["Ply"][];
            /**
             * Method
             * @default channels between the plies
             * @enum {string}
             */
            method: "channels between the plies" | "flat-lined, outside channels" | "flat-lined, inside channels" | "floating lining" | "sandwich" | "lapped and topstitched" | "base with an overlay" | "bagged out";
            /**
             * Worn Under Mm
             * @default 0
             */
            worn_under_mm: number;
        };
        /**
         * LayersPlan
         * @description The plies from the skin out, and what they come to; `grams` and `price` are of these and of what is `beside`.
         *
         *     `overlays` by the place of a ply in one piece, `repeats` of one whose stripe or motif is to meet.
         *
         *     `minutes` are by kind of work, from cutting to the bound edge, without bones, holes and trims.
         */
        LayersPlan: {
            /** Plies */
            plies: components["schemas"]["PlyPlan"][];
            /** Overlays */
            overlays: {
                [key: string]: components["schemas"]["OverlayPlan"] | undefined;
            };
            /** Repeats */
            repeats: {
                [key: string]: components["schemas"]["RepeatPlan"] | undefined;
            };
            seam: components["schemas"]["Thick"];
            hole: components["schemas"]["Thick"] | null;
            /** Total Mm */
            total_mm: number;
            /** Take Up Mm */
            take_up_mm: number;
            /** Beside */
            beside: components["schemas"]["ClothBeside"][];
            /** Grams */
            grams: number;
            /** Price */
            price: number;
            /** Minutes */
            minutes: {
                [key: string]: number | undefined;
            };
            /** Methods */
            methods: components["schemas"]["MethodSide"][];
        };
        /**
         * Laying
         * @description The sheets at hand with what lies on them, and a marker of what has to be bought, where they are not enough.
         *
         *     `let_go`: pieces that she had put down where they can't lie any more, since they, their cloth or others changed.
         *     `spare`: pieces that a fold gives once too often.
         */
        Laying: {
            /** Sheets */
            sheets: components["schemas"]["LaidSheet"][];
            marker: components["schemas"]["Marker"];
            /** Seconds */
            seconds: number;
            /**
             * Let Go
             * @default []
             */
            let_go: string[];
            /**
             * Spare
             * @default []
             */
            spare: string[];
        };
        /**
         * Learned
         * @description What all fittings together say of the body, of the cloths, and of the pull of each lacing.
         *
         *     `misfit` is χ² per reading: above 1, what was read agrees less than its spreads say, and all were widened for it.
         *     `comfort_share` is where it begins to dig for her, beside the table's.
         */
        Learned: {
            /** Levels */
            levels: components["schemas"]["LearnedLevel"][];
            /** Readings */
            readings: components["schemas"]["ReadingExpected"][];
            /**
             * Pulls
             * @default []
             */
            pulls: components["schemas"]["LearnedPull"][];
            /**
             * Cloths
             * @default []
             */
            cloths: components["schemas"]["LearnedCloth"][];
            /**
             * Ride Mm
             * @default 0
             */
            ride_mm: number;
            /**
             * Comfort Share
             * @default 1
             */
            comfort_share: number;
            /**
             * Misfit
             * @default 0
             */
            misfit: number;
            ambiguity: components["schemas"]["Ambiguity"] | null;
            /**
             * Words
             * @default []
             */
            words: components["schemas"]["WordExpected"][];
            /**
             * Dug
             * @default []
             */
            dug: components["schemas"]["PlaceDug"][];
        };
        /**
         * LearnedCloth
         * @description By what share a cloth stretches beyond its table: as such cloths do, and as this one is believed to.
         */
        LearnedCloth: {
            /**
             * Cloth
             * @description A cloth in the catalogue.
             */
            cloth: string;
            /** Label */
            label: string;
            /** Usual Share */
            usual_share: number;
            /** Believed Share */
            believed_share: number;
        };
        /**
         * LearnedLevel
         * @description A level as the tape had it, and as now believed.
         */
        LearnedLevel: {
            /**
             * Name
             * @enum {string}
             */
            name: "upper_neck" | "neck_base" | "collarbone" | "high_bust" | "bust" | "underbust" | "ribs" | "waist" | "high_hip" | "hip";
            /** Measured Mm */
            measured_mm: number;
            /** Measured Spread Mm */
            measured_spread_mm: number;
            /** Believed Mm */
            believed_mm: number;
            /** Believed Spread Mm */
            believed_spread_mm: number;
            /**
             * Measured Give
             * @default 0
             */
            measured_give: number;
            /**
             * Believed Give
             * @default 0
             */
            believed_give: number;
        };
        /**
         * LearnedPull
         * @description How hard a lacing was really pulled, in N per m, beside what was said.
         */
        LearnedPull: {
            /** Fitting */
            fitting: number;
            /** Said N Per M */
            said_n_per_m: number;
            /** Believed N Per M */
            believed_n_per_m: number;
        };
        /**
         * LeaveOut
         * @description A step that is left out, and why.
         */
        LeaveOut: {
            /** Revision */
            revision: number;
            /**
             * Step
             * @description What a step is known by.
             */
            step: string;
            /**
             * Because
             * @default
             */
            because?: string;
        };
        /**
         * LeftHalf
         * @description The left half where it differs from the right: its panels and edges.
         */
        LeftHalf: {
            /** Panels */
            panels: components["schemas"]["Panel"][];
            top: components["schemas"]["EdgeLine"];
            hem: components["schemas"]["EdgeLine"];
        };
        /**
         * LeftHardware
         * @description The hardware of the left half, where it differs from the right: as in `HardwarePlan`.
         */
        LeftHardware: {
            /** Bones */
            bones: components["schemas"]["Bone"][];
            /** Unboned */
            unboned: components["schemas"]["Stretch"][];
            /** Mock Up Bones Mm */
            mock_up_bones_mm: {
                [key: string]: number | undefined;
            };
        };
        /**
         * LeftOut
         * @description A step that is left out, and why.
         */
        LeftOut: {
            /**
             * Step
             * @description What a step is known by.
             */
            step: string;
            /**
             * Because
             * @default
             */
            because: string;
        };
        /**
         * Level
         * @description A named height where a girth is taken. Heights are distances from the zero line along the body, in mm.
         */
        Level: {
            /**
             * Readings Mm
             * @default []
             */
            readings_mm: number[];
            /**
             * Unconfirmed
             * @description A number sent by a client, not confirmed.
             * @default false
             */
            unconfirmed: boolean;
            /** Height Front Mm */
            height_front_mm: number | null;
            /** Height Side Mm */
            height_side_mm: number | null;
            /** Height Back Mm */
            height_back_mm: number | null;
            /**
             * Front Arc Mm
             * @description The part of the girth in front of the side seams.
             */
            front_arc_mm: number | null;
            /**
             * Back Arc Mm
             * @description The part of the girth behind the side seams.
             */
            back_arc_mm: number | null;
            /**
             * Left More Mm
             * @description Left half of the girth less right half, CF to CB.
             */
            left_more_mm: number | null;
        };
        /**
         * LevelDifference
         * @description The sewn girth at a level in two versions, mm.
         */
        LevelDifference: {
            /**
             * Name
             * @enum {string}
             */
            name: "upper_neck" | "neck_base" | "collarbone" | "high_bust" | "bust" | "underbust" | "ribs" | "waist" | "high_hip" | "hip";
            /** Before Mm */
            before_mm: number;
            /** After Mm */
            after_mm: number;
        };
        /**
         * LevelFit
         * @description The fit at one level. What the lacing edge does not reach is None; padding takes `padded_mm` of the girth.
         *
         *     `closed_mm` is what is sewn there, and None where no part of the garment reaches the level.
         */
        LevelFit: {
            /**
             * Name
             * @enum {string}
             */
            name: "upper_neck" | "neck_base" | "collarbone" | "high_bust" | "bust" | "underbust" | "ribs" | "waist" | "high_hip" | "hip";
            /** Label */
            label: string;
            /** Z Mm */
            z_mm: number;
            /** Body Mm */
            body_mm: number;
            /** Body Spread Mm */
            body_spread_mm: number;
            /** Closed Mm */
            closed_mm: number | null;
            /** Worn Mm */
            worn_mm: number | null;
            /** Squeezed Mm */
            squeezed_mm: number | null;
            /** Gap Mm */
            gap_mm: number | null;
            /** Pressure Kpa */
            pressure_kpa: number | null;
            /** Side Pressure Kpa */
            side_pressure_kpa: number | null;
            /** Comfort Kpa */
            comfort_kpa: number;
            /** Feel */
            feel: ("stands off" | "light" | "close" | "firm" | "too firm") | null;
            /** Stand Off Mm */
            stand_off_mm: number | null;
            /** Swing Mm */
            swing_mm: number | null;
            /**
             * Padded Mm
             * @default 0
             */
            padded_mm: number;
        };
        /**
         * LevelInfo
         * @description A level: how it is called and measured, and which zero line its heights go from (+1 above, −1 below).
         */
        LevelInfo: {
            /**
             * Name
             * @enum {string}
             */
            name: "upper_neck" | "neck_base" | "collarbone" | "high_bust" | "bust" | "underbust" | "ribs" | "waist" | "high_hip" | "hip";
            /** Label */
            label: string;
            /** How */
            how: string;
            /** Zero */
            zero: string;
            /** Sign */
            sign: number;
        };
        /**
         * LevelMoved
         * @description A girth before and after, mm.
         */
        LevelMoved: {
            /**
             * Name
             * @enum {string}
             */
            name: "upper_neck" | "neck_base" | "collarbone" | "high_bust" | "bust" | "underbust" | "ribs" | "waist" | "high_hip" | "hip";
            /** Before Mm */
            before_mm: number;
            /** After Mm */
            after_mm: number;
        };
        /**
         * Line
         * @description A build as the workshop lists it; one that can't be read or worked out has its `trouble`, and little else.
         *
         *     `whole`: the newest of its earlier states that can be read.
         */
        Line: {
            /** Id */
            id: string;
            /** Revision */
            revision: number;
            /** Name */
            name: string;
            /**
             * Character
             * @default
             */
            character: string;
            /**
             * Wearer
             * @default
             */
            wearer: string;
            /**
             * Kind
             * @default
             */
            kind: string;
            /** Picture */
            picture: string | null;
            /** Needed On */
            needed_on: string | null;
            /** Archived */
            archived: boolean;
            /** Version */
            version: number | null;
            /**
             * Fittings
             * @default 0
             */
            fittings: number;
            /**
             * Next Stage
             * @default brief
             * @enum {string}
             */
            next_stage: "brief" | "wearer" | "pattern" | "mockups" | "bones" | "front" | "back" | "layers" | "trims" | "cut" | "make" | "record";
            /**
             * Next Step
             * @default
             */
            next_step: string;
            /** Silhouette */
            silhouette: [
                number,
                number
            ][][];
            /** Trouble */
            trouble: string | null;
            whole: components["schemas"]["Past"] | null;
        };
        /**
         * LineBack
         * @description A line of the garment as it would be seen on the picture; points are shares of its width and of its height.
         */
        LineBack: {
            /** What */
            what: string;
            /** Points */
            points: [
                number,
                number
            ][];
        };
        /**
         * LineEdit
         * @description The maker's own amounts at one seam, at a level or a place of a proposed change, mm per panel edge.
         *
         *     Both 0 refuse it. A place has its peak, and its ends where it does not run out at hem or top line.
         */
        LineEdit: {
            /**
             * Version
             * @description The version that the change was proposed for.
             */
            version: number;
            /** Seam */
            seam: number;
            /** Level */
            level: ("upper_neck" | "neck_base" | "collarbone" | "high_bust" | "bust" | "underbust" | "ribs" | "waist" | "high_hip" | "hip") | null;
            /**
             * Half
             * @default both
             * @enum {string}
             */
            half: "both" | "right" | "left";
            /** Low Mm */
            low_mm: number | null;
            /** Peak Mm */
            peak_mm: number | null;
            /** High Mm */
            high_mm: number | null;
            /** Cf Side Mm */
            cf_side_mm: number;
            /** Cb Side Mm */
            cb_side_mm: number;
        };
        /**
         * LinesSeen
         * @description The lines of every picture on which something is marked, both ways.
         */
        LinesSeen: {
            /** Pictures */
            pictures: components["schemas"]["PictureLines"][];
        };
        /**
         * ListRead
         * @description What a shopping list that was filled in says was ordered or bought.
         */
        ListRead: {
            /** Rows */
            rows: components["schemas"]["BoughtRow"][];
        };
        /**
         * Load
         * @description The weight on a garment against what holds it, N.
         *
         *     `friction_n` is what the model of the worn garment gives, `shape_n` what it takes to pull its hoops down over a body
         *     that widens below, less where it narrows; `straps_n` what straps carry. `lacks_n`: what it would take without them,
         *     to hold half as much again.
         */
        Load: {
            /** Grams */
            grams: number;
            /** Weight N */
            weight_n: number;
            /** Friction N */
            friction_n: number;
            /** Shape N */
            shape_n: number;
            /** Straps N */
            straps_n: number;
            /** Holds N */
            holds_n: number;
            /**
             * Word
             * @enum {string}
             */
            word: "holds" | "barely" | "slips";
            /** Spare */
            spare: number;
            /** Lacks N */
            lacks_n: number;
        };
        /**
         * LogEntry
         * @description Time on a step: on which day, how many minutes of hands on it, a note; and what went wrong, if something did.
         *
         *     `works` is what the step was then, so that it still tells her pace when the garment has changed.
         */
        LogEntry: {
            /**
             * Step
             * @description What a step is known by.
             */
            step: string;
            /**
             * On
             * Format: date
             */
            on: string;
            /** Minutes */
            minutes: number;
            /**
             * Note
             * @default
             */
            note: string;
            /**
             * Mishap
             * @default
             */
            mishap: string;
            /**
             * Works
             * @default []
             */
            works: [
                "cut a ply" | "mark" | "baste by machine" | "baste by hand" | "fuse" | "sew a seam" | "sew a curved seam" | "press a seam" | "topstitch a seam" | "sandwich seam" | "grade a seam" | "channel stitching" | "inside tape" | "outside tape" | "facing" | "binding on" | "binding by hand" | "binding in the ditch" | "floating lining" | "cut a flat bone" | "cut a spiral bone" | "cut a synthetic bone" | "dip a coat" | "bone in" | "busk" | "separating zip" | "hidden zip" | "hooks by hand" | "hooks by tape" | "grommet" | "worked eyelet" | "tape loop" | "waist tape" | "modesty panel" | "modesty bone" | "flap" | "slashed gusset" | "gusset in a seam" | "dart" | "cup" | "lace new" | "shoulder piece" | "mock-up" | "fitting" | "gather and sew on" | "flossing" | "beads along a line" | "bead by itself" | "light embroidery" | "dense embroidery" | "lace motif" | "trim by hand" | "trim by machine" | "hem rolled" | "hem by hand" | "loop for a trim" | "strap" | "cut a pad" | "shape a pad" | "cover a pad",
                number
            ][];
            /**
             * Photos
             * @default []
             */
            photos: components["schemas"]["Photo"][];
        };
        /**
         * MakeChoices
         * @description Everything decided and written down of the making. `order` is as near as she wants the steps; none: as usual.
         */
        MakeChoices: {
            /**
             * Binding
             * @default by hand
             * @enum {string}
             */
            binding: "by hand" | "by machine";
            /**
             * Done
             * @default []
             */
            done: components["schemas"]["Done"][];
            /**
             * Left Out
             * @default []
             */
            left_out: components["schemas"]["LeftOut"][];
            /**
             * Own
             * @default []
             */
            own: components["schemas"]["OwnStep"][];
            /**
             * Order
             * @default []
             */
            order: string[];
            /**
             * Log
             * @default []
             */
            log: components["schemas"]["LogEntry"][];
            running: components["schemas"]["Running"] | null;
            /**
             * Appointments
             * @default []
             */
            appointments: components["schemas"]["Appointment"][];
        };
        /**
         * MakePlan
         * @description The making of a build: its steps as they usually follow, the order of those that are left, and what to do next.
         *
         *     `instead` could be done now as well. `lost` are steps that something done too soon shuts out, or that need such a
         *     one: they come first in the order, by their way back.
         */
        MakePlan: {
            /**
             * Steps
             * @default []
             */
            steps: components["schemas"]["StepSeen"][];
            /**
             * Order
             * @default []
             */
            order: string[];
            /** Now */
            now: string | null;
            /**
             * Instead
             * @default []
             */
            instead: string[];
            /**
             * Lost
             * @default []
             */
            lost: string[];
            /**
             * Minutes Left
             * @default 0
             */
            minutes_left: number;
            /**
             * Minutes Later
             * @default 0
             */
            minutes_later: number;
            /**
             * Left Out
             * @default []
             */
            left_out: string[];
            running: components["schemas"]["Running"] | null;
        };
        /**
         * MakeSeen
         * @description The making of a build, and the day it is.
         */
        MakeSeen: {
            make: components["schemas"]["MakePlan"];
            /**
             * Today
             * Format: date
             */
            today: string;
        };
        /**
         * Mark
         * @description A line drawn on a picture; points are (x, y) from its top left, as shares of its width and height.
         */
        Mark: {
            /**
             * Kind
             * @enum {string}
             */
            kind: "top line" | "hem" | "closure" | "seam" | "trim" | "shoulders across" | "chest across" | "bust across" | "underbust across" | "waist across" | "high hip across" | "hip across";
            /** Points */
            points: [
                number,
                number
            ][];
        };
        /**
         * MarkRead
         * @description A line of a picture as one of the garment: what it says, what makes it so, or why it can't be.
         *
         *     What makes it so are changes of what she chose, or edits of the pattern. `number` counts the marks of its kind from
         *     1; 0 is of all seams. `so` tells that the garment has it already.
         */
        MarkRead: {
            /**
             * Kind
             * @enum {string}
             */
            kind: "top line" | "hem" | "closure" | "seam" | "trim" | "shoulders across" | "chest across" | "bust across" | "underbust across" | "waist across" | "high hip across" | "hip across";
            /** Number */
            number: number;
            says: components["schemas"]["Message"] | null;
            warns: components["schemas"]["Message"] | null;
            /**
             * Changes
             * @default []
             */
            changes: components["schemas"]["Change-Output"][];
            /**
             * Edits
             * @default []
             */
            edits: components["schemas"]["LaySeam"][];
            fault: components["schemas"]["Message"] | null;
            /**
             * So
             * @default false
             */
            so: boolean;
        };
        /**
         * Marker
         * @description A cloth with its pieces on it: the length they take, the share of it that is used, and the least by area.
         *
         *     `fold`: the cloth lies double, its fold at y = 0, so that each piece is cut twice, mirrored; `spare` are cut once
         *     too often for it. `too_wide` fit nowhere across the cloth.
         */
        Marker: {
            /** Usable Mm */
            usable_mm: number;
            /** Fold */
            fold: boolean;
            /** Length Mm */
            length_mm: number;
            /** Used Share */
            used_share: number;
            /** Bound Mm */
            bound_mm: number;
            /** Placed */
            placed: components["schemas"]["Placed"][];
            /** Too Wide */
            too_wide: string[];
            /** Spare */
            spare: string[];
            /** Seconds */
            seconds: number;
        };
        /**
         * Matched
         * @description Between which heights a stripe or motif meets itself across a seam, from the waist; and the seam's ends, mm.
         */
        Matched: {
            /** Seam */
            seam: string;
            /** Low Mm */
            low_mm: number;
            /** High Mm */
            high_mm: number;
            /** Hem Mm */
            hem_mm: number;
            /** Top Mm */
            top_mm: number;
        };
        /**
         * MeasuresRead
         * @description The rows of a CSV file of measures.
         */
        MeasuresRead: {
            /** Rows */
            rows: components["schemas"]["MeasuresRow"][];
        };
        /**
         * MeasuresRow
         * @description A row that came in: what it would change, or what is wrong with it, with the row's number.
         */
        MeasuresRow: {
            /** Row */
            row: number;
            /** Changes */
            changes: components["schemas"]["Change-Output"][];
            /** Said */
            said: string;
            /** Fault */
            fault: string | null;
        };
        /**
         * MeasuringRef
         * @description Which measuring of which wearer in the workshop's book this build's measures came from.
         */
        MeasuringRef: {
            /** Wearer Id */
            wearer_id: string;
            /** Measuring Id */
            measuring_id: string;
            /**
             * Taken On
             * Format: date
             */
            taken_on: string;
        };
        /**
         * Memory
         * @description What the fittings of an earlier build taught of the wearer, with the measuring that both rest on.
         */
        Memory: {
            /** Measuring Id */
            measuring_id: string;
            /**
             * Build
             * @default
             */
            build: string;
            /** Fittings */
            fittings: number;
            /** Levels */
            levels: components["schemas"]["Taught"][];
            /**
             * Rests On
             * @description Marks of the fittings that this rests on: none counts twice.
             * @default []
             */
            rests_on: string[];
        };
        /**
         * Mend
         * @description Changes that would mend a finding, and how the button says it.
         */
        Mend: {
            label: components["schemas"]["Message"];
            /** Changes */
            changes: components["schemas"]["Change-Output"][];
        };
        Message: string;
        /**
         * MethodSide
         * @description A method beside the others, with her plies and what it would add to them.
         *
         *     `changes` choose it: the method, its channels, and a lining where it wants one and there is none.
         */
        MethodSide: {
            /**
             * Name
             * @enum {string}
             */
            name: "channels between the plies" | "flat-lined, outside channels" | "flat-lined, inside channels" | "floating lining" | "sandwich" | "lapped and topstitched" | "base with an overlay" | "bagged out";
            /** Chosen */
            chosen: boolean;
            /** Adds Lining */
            adds_lining: boolean;
            /**
             * Channels
             * @enum {string}
             */
            channels: "between plies" | "in the allowances" | "inside tape" | "outside tape";
            /** Mounted */
            mounted: ("fused" | "flat-lined" | "floating" | "bagged" | "overlaid by panels" | "overlaid in one piece")[];
            /** Hides Inside */
            hides_inside: boolean;
            /** Hides Outside */
            hides_outside: boolean;
            /** Lets Out */
            lets_out: number;
            good: components["schemas"]["Message"];
            mind: components["schemas"]["Message"];
            /** Minutes */
            minutes: number;
            seam: components["schemas"]["Thick"];
            hole: components["schemas"]["Thick"] | null;
            /** Take Up Mm */
            take_up_mm: number;
            /** Grams */
            grams: number;
            /** Price */
            price: number;
            /** Changes */
            changes: components["schemas"]["Change-Output"][];
        };
        /**
         * Misfit
         * @description What is odd about a piece or a seam, and how panel `panel` would have to be turned to fit, if that mends it.
         */
        Misfit: {
            /** Panel */
            panel: number;
            sentence: components["schemas"]["Message"];
            /** Turn */
            turn: ("mirrored" | "upside down" | "turned round") | null;
            /**
             * Stops
             * @default false
             */
            stops: boolean;
        };
        /**
         * MockUp
         * @description What mock-ups are made of.
         */
        MockUp: {
            /**
             * @default {
             *       "strength": "calico",
             *       "fashion_mm": 0,
             *       "lining_mm": 0,
             *       "worn_under_mm": 0
             *     }
             */
            stack: components["schemas"]["Stack"];
            /**
             * Edge Bone
             * @description A kind of bone in the catalogue.
             * @default cable_tie_8
             */
            edge_bone: string;
            /**
             * Boned
             * @default true
             */
            boned: boolean;
            /**
             * Closing
             * @default laced
             * @enum {string}
             */
            closing: "laced" | "pinned" | "open";
            /**
             * Strip
             * @description A strip with grommets, basted on and used again.
             * @default true
             */
            strip: boolean;
        };
        /**
         * MockUpPlan
         * @description The next mock-up: its parts, what may be left out, where to look, and how it will differ from the final.
         */
        MockUpPlan: {
            /** Parts */
            parts: components["schemas"]["Part"][];
            /** Leave Out */
            leave_out: components["schemas"]["Message"][];
            /** Look At */
            look_at: components["schemas"]["Message"][];
            differs: components["schemas"]["Differs"];
        };
        /**
         * ModestyPanel
         * @description The panel behind the lacing, finished: its size, what stiffens it, and the widest waist it still covers,
         *     and how far it reaches under each edge where the gap is widest, mm.
         *
         *     Its bones are of one kind, called `bone_label`, and come to `bones_grams` and `bones_price`.
         */
        ModestyPanel: {
            /**
             * Attached
             * @enum {string}
             */
            attached: "none" | "floating" | "sewn" | "hung";
            /** Width Mm */
            width_mm: number;
            /** Height Mm */
            height_mm: number;
            /** Bones Along Mm */
            bones_along_mm: number[];
            /** Bones Across Mm */
            bones_across_mm: number[];
            /**
             * Bone
             * @description A kind of bone in the catalogue.
             */
            bone: string;
            /** Bone Label */
            bone_label: string;
            /** Bones Grams */
            bones_grams: number;
            /** Bones Price */
            bones_price: number;
            /** Covers Waist Mm */
            covers_waist_mm: number;
            /** Under Each Mm */
            under_each_mm: number;
            sentence: components["schemas"]["Message"];
        };
        /**
         * MovePly
         * @description A ply to move one place further out, or in.
         */
        MovePly: {
            /** Revision */
            revision: number;
            /** At */
            at: number;
            /** Outward */
            outward: boolean;
        };
        /**
         * MovePoint
         * @description Put a point of the top line or hem at a height: CF (0), side (1), CB (2), or any place between.
         */
        MovePoint: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "point";
            /**
             * End
             * @enum {string}
             */
            end: "top" | "hem";
            /**
             * Place
             * @description 0 at CF, 1 at the side, 2 at CB, by width between.
             */
            place: number;
            /** Z Mm */
            z_mm: number;
            /**
             * To Place
             * @description Also move it round the body, to there.
             */
            to_place: number | null;
            /** Corner */
            corner: boolean | null;
            /**
             * Side
             * @default both
             * @enum {string}
             */
            side: "both" | "right" | "left";
        };
        /**
         * MoveSeam
         * @description Take in (−) or let out (+) at a seam, so much on each panel edge; or shift the seam toward CB (+).
         *
         *     The amount is that at `at_mm`; it fades over `reach_mm` up and down, or runs out at an edge of the garment.
         */
        MoveSeam: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "seam";
            /** Seam */
            seam: number;
            /** At Mm */
            at_mm: number;
            /** Amount Mm */
            amount_mm: number;
            /**
             * How
             * @default girth
             * @enum {string}
             */
            how: "girth" | "shift";
            /**
             * Reach Up Mm
             * @default 70
             */
            reach_up_mm: number | null;
            /**
             * Reach Down Mm
             * @default 70
             */
            reach_down_mm: number | null;
            /**
             * Side
             * @default both
             * @enum {string}
             */
            side: "both" | "right" | "left";
        };
        /**
         * Moved
         * @description Something she did in it, and how that went.
         */
        Moved: {
            /**
             * Test
             * @enum {string}
             */
            test: "sit" | "bend" | "breathe" | "raise arms" | "turn the head" | "in alone" | "out alone";
            /**
             * Went
             * @enum {string}
             */
            went: "well" | "hard" | "not";
        };
        /**
         * Named
         * @description A thing that can be chosen: its key and how it is called.
         */
        Named: {
            /** Name */
            name: string;
            /** Label */
            label: string;
        };
        /**
         * NeckLevel
         * @description A level of the neck; its heights go from the base of the neck.
         */
        NeckLevel: {
            /**
             * Readings Mm
             * @default []
             */
            readings_mm: number[];
            /**
             * Unconfirmed
             * @description A number sent by a client, not confirmed.
             * @default false
             */
            unconfirmed: boolean;
            /** Height Front Mm */
            height_front_mm: number | null;
            /** Height Side Mm */
            height_side_mm: number | null;
            /** Height Back Mm */
            height_back_mm: number | null;
            /** Front Arc Mm */
            front_arc_mm: number | null;
            /** Back Arc Mm */
            back_arc_mm: number | null;
            /**
             * Left More Mm
             * @description Left half of the girth less right half, CF to CB.
             */
            left_more_mm: number | null;
        };
        /**
         * Need
         * @description So much of an article: mm, or pieces; `spares` of them, and `in_one` where it has to be one length.
         *
         *     `lengths_mm`: of what is cut off, lengths that each have to be in one. `each_mm`: pieces of that length;
         *     `width_mm`: cloth as wide as this. What is `hers` lies with her, on the shelf or not, and is never bought.
         */
        Need: {
            article: components["schemas"]["Article"];
            /**
             * Stage
             * @enum {string}
             */
            stage: "brief" | "wearer" | "pattern" | "mockups" | "bones" | "front" | "back" | "layers" | "trims" | "cut" | "make" | "record";
            /** Amount */
            amount: number;
            /**
             * Spares
             * @default 0
             */
            spares: number;
            /**
             * In One
             * @default false
             */
            in_one: boolean;
            /**
             * Lengths Mm
             * @default []
             */
            lengths_mm: number[];
            /** Each Mm */
            each_mm: number | null;
            /** Width Mm */
            width_mm: number | null;
            /**
             * Hers
             * @default false
             */
            hers: boolean;
        };
        /**
         * Needs
         * @description What a build needs that is counted: cloth and bones are laid and cut first.
         */
        Needs: {
            /** Needs */
            needs: components["schemas"]["Need"][];
        };
        /**
         * NewBuild
         * @description A build to make.
         */
        NewBuild: {
            /** Name */
            name: string;
            /**
             * Character
             * @default
             */
            character?: string;
            /**
             * Kind
             * @default underbust corset
             * @enum {string}
             */
            kind?: "underbust corset" | "overbust corset" | "cincher" | "longline corset" | "boned bodice" | "strapless bodice" | "foundation bodice" | "neck corset";
        };
        /**
         * NewFitting
         * @description A fitting to log: fields of `Fitting`, with lengths as text or mm. What is missing stays missing.
         */
        NewFitting: {
            /** Version */
            version?: number | null;
            /** Pull */
            pull?: ("light" | "close" | "firm") | null;
            made_of?: components["schemas"]["WrittenMockUp"] | null;
            /**
             * Pads
             * @description The padding that she had under it.
             */
            pads?: components["schemas"]["WrittenPad"][] | null;
            /**
             * Finished
             * @description The finished garment was tried on, and no mock-up.
             */
            finished?: boolean | null;
            /**
             * Under
             * @description What she wore under it.
             */
            under?: string | null;
            /** Readings */
            readings?: components["schemas"]["WrittenGapReading"][] | null;
            /** Words */
            words?: components["schemas"]["WrittenSaidAt"][] | null;
            /** Stand Offs */
            stand_offs?: components["schemas"]["WrittenStandOff"][] | null;
            /** Laced */
            laced?: components["schemas"]["WrittenLacedGirth"][] | null;
            /** Under It */
            under_it?: components["schemas"]["WrittenUnderGirth"][] | null;
            /**
             * Also
             * @description Lacings before or after, as pulled.
             */
            also?: components["schemas"]["WrittenAlsoLaced"][] | null;
            /** Taps */
            taps?: components["schemas"]["WrittenTap"][] | null;
            /** Pinches */
            pinches?: components["schemas"]["WrittenPinch"][] | null;
            /** Edges */
            edges?: components["schemas"]["WrittenEdgeSaid"][] | null;
            /**
             * Rides Mm
             * @description How far above her waist the garment's waist sits.
             */
            rides_mm?: string | number | null;
            /**
             * Swings Mm
             * @description How far to the front of where it should be the side seam hangs.
             */
            swings_mm?: string | number | null;
            /** Moved */
            moved?: components["schemas"]["WrittenMoved"][] | null;
            /** Photos */
            photos?: components["schemas"]["WrittenBackPhoto"][] | null;
            /** Hours */
            hours?: string | number | null;
            /**
             * Cost
             * @description In the workshop's money.
             */
            cost?: string | number | null;
            /** Note */
            note?: string | null;
            /** Revision */
            revision: number;
        };
        /**
         * NextVersion
         * @description Cut the first version, accept the proposed one, go back to an old one (`to`), or fix the one drawn on.
         */
        NextVersion: {
            /** Revision */
            revision: number;
            /**
             * What
             * @enum {string}
             */
            what: "cut" | "accept" | "back" | "fix";
            /** To */
            to?: number | null;
        };
        /**
         * Notch
         * @description Marks on a seam edge: `marks` ticks about a point `from_waist_mm` along the seam.
         */
        Notch: {
            /** From Waist Mm */
            from_waist_mm: number;
            /** Marks */
            marks: number;
        };
        /**
         * Odds
         * @description Of a build: the share of runs in which it is ready by its day (None: no day), and when it is ready in one of ten,
         *     in half, and in nine of ten.
         */
        Odds: {
            /** Build */
            build: string;
            /** Probability */
            probability: number | null;
            /**
             * Early On
             * Format: date
             */
            early_on: string;
            /**
             * Likely On
             * Format: date
             */
            likely_on: string;
            /**
             * Late On
             * Format: date
             */
            late_on: string;
        };
        /**
         * OfEntry
         * @description An entry of the log, by its place.
         */
        OfEntry: {
            /** Revision */
            revision: number;
            /** At */
            at: number;
        };
        /**
         * OfStep
         * @description Something done to a step.
         */
        OfStep: {
            /** Revision */
            revision: number;
            /**
             * Step
             * @description What a step is known by.
             */
            step: string;
        };
        /**
         * Offer
         * @description What a shop has of an article: how much is in a pack (mm or pieces), its price, and how many days it takes.
         *
         *     `each_mm`: pieces of that length; `width_mm`: cloth as wide as this between its selvedges. What is `off_the_roll` is
         *     cut to any number of packs in one length; other packs hold one length each.
         */
        Offer: {
            /** Shop */
            shop: string;
            article: components["schemas"]["Article"];
            /** Pack */
            pack: number;
            /** Price */
            price: number;
            /** Each Mm */
            each_mm: number | null;
            /** Width Mm */
            width_mm: number | null;
            /**
             * Off The Roll
             * @default false
             */
            off_the_roll: boolean;
            /**
             * In Stock
             * @default true
             */
            in_stock: boolean;
            /** Days */
            days: number;
            /** Days Spread */
            days_spread: number;
        };
        /**
         * OnBody
         * @description The garment on her: surfaces, lines and points, by level, and where an edge would be in her way.
         *
         *     `said`: why something is not shown. `area_off`: by what share the area of the panel that differs most is off its
         *     flat one, stretched as it is worn. `edges_mm`: how high top line and hem lie above the zero line, along her.
         *     `poses`: how she stands on each picture that tells, by its id.
         */
        OnBody: {
            /** Version */
            version: number | null;
            /**
             * Patches
             * @default []
             */
            patches: components["schemas"]["Patch"][];
            /**
             * Lines
             * @default []
             */
            lines: components["schemas"]["SpatialLine"][];
            /**
             * Spots
             * @default []
             */
            spots: components["schemas"]["SpatialSpots"][];
            /**
             * Levels
             * @default []
             */
            levels: components["schemas"]["WornLevel"][];
            /**
             * Said
             * @default []
             */
            said: components["schemas"]["Message"][];
            /**
             * Area Off
             * @default 0
             */
            area_off: number;
            /** Poses */
            poses: {
                [key: string]: components["schemas"]["Pose"] | undefined;
            };
            /** Edges Mm */
            edges_mm: {
                [key: string]: number | undefined;
            };
        };
        /**
         * OnPanel
         * @description What of a line lies on a panel: points as it lies, and from which mm of the line on.
         */
        OnPanel: {
            /** Panel */
            panel: number;
            /** Points */
            points: [
                number,
                number
            ][];
            /** From Mm */
            from_mm: number;
        };
        /**
         * OnRevision
         * @description The revision that a step is taken on.
         */
        OnRevision: {
            /** Revision */
            revision: number;
        };
        /**
         * OnShelf
         * @description A piece of the shelf: how much is free, who has reserved of it, and its outline where it is cloth.
         */
        OnShelf: {
            piece: components["schemas"]["Stock"];
            /**
             * Measure
             * @enum {string}
             */
            measure: "length" | "piece";
            /** Amount */
            amount: number;
            /** Free */
            free: number;
            /** Reserved */
            reserved: components["schemas"]["Reservation"][];
            /** Shape */
            shape: [
                number,
                number
            ][];
        };
        /**
         * OnShelfRevision
         * @description Something done to the shelf as it was seen; without a revision, to the shelf as it is.
         */
        OnShelfRevision: {
            /** Revision */
            revision?: number | null;
        };
        /**
         * OpenBuild
         * @description A build with its plan, and its place in its history.
         */
        OpenBuild: {
            /** Id */
            id: string;
            /** Revision */
            revision: number;
            /** Archived */
            archived: boolean;
            /** Undoes */
            undoes: string | null;
            /** Redoes */
            redoes: string | null;
            build: components["schemas"]["Build"];
            plan: components["schemas"]["Plan"];
            thread: components["schemas"]["Thread"];
            /** Job */
            job: string;
            /** Consequences */
            consequences: components["schemas"]["Consequence"][];
            /**
             * Ticked Bones
             * @description Kinds of bones that were ticked off as cut while making.
             */
            ticked_bones: string[];
            newer: components["schemas"]["BookMeasuring"] | null;
            /**
             * Taught
             * @description What her other garments taught for this one, and where they meet it.
             */
            taught: components["schemas"]["Finding"][];
        };
        /**
         * OpenShelf
         * @description The shelf with its place in its history, and the builds that have reserved of it or could.
         *
         *     `damaged`: what was kept last can't be read; this is the newest state that can.
         */
        OpenShelf: {
            /** Revision */
            revision: number;
            /** Damaged */
            damaged: boolean;
            /** Undoes */
            undoes: string | null;
            /** Redoes */
            redoes: string | null;
            /** Pieces */
            pieces: components["schemas"]["OnShelf"][];
            /** Orders */
            orders: components["schemas"]["OrderSeen"][];
            /** Builds */
            builds: components["schemas"]["Named"][];
            /**
             * Today
             * Format: date
             */
            today: string;
        };
        /**
         * Opening
         * @description What opens, beside the lacing behind: where it lies, how far it opens, what is bought, in which order it is sewn.
         *
         *     Heights are from the waist: the line goes from `low_z_mm` to `high_z_mm`; `reach_mm` is what of it lies on each side
         *     of its line. `opens_low_mm`, `opens_high_mm`: between them the garment comes apart (None: nowhere); one that
         *     `separates` comes apart altogether. `half` is where a side or seam opens (None: on CF or CB).
         */
        Opening: {
            /**
             * Kind
             * @enum {string}
             */
            kind: "busk" | "zip" | "hidden zip" | "hooks" | "lacing" | "none";
            /** Line */
            line: string;
            /** Seam */
            seam: number;
            /**
             * Low Z Mm
             * @default 0
             */
            low_z_mm: number;
            /**
             * High Z Mm
             * @default 0
             */
            high_z_mm: number;
            title: components["schemas"]["Message"];
            why: components["schemas"]["Message"];
            /** Reach Mm */
            reach_mm: number;
            /** Top Z Mm */
            top_z_mm: number | null;
            /** Bottom Z Mm */
            bottom_z_mm: number | null;
            /**
             * Separates
             * @default false
             */
            separates: boolean;
            /** Opens Low Mm */
            opens_low_mm: number | null;
            /** Opens High Mm */
            opens_high_mm: number | null;
            /**
             * Marks Z Mm
             * @default []
             */
            marks_z_mm: number[];
            /**
             * Bought
             * @default []
             */
            bought: components["schemas"]["Message"][];
            /**
             * Minutes
             * @default 0
             */
            minutes: number;
            /** Half */
            half: ("both" | "right" | "left") | null;
            /** Flap Mm */
            flap_mm: [
                number,
                number
            ] | null;
            /**
             * Order
             * @default []
             */
            order: components["schemas"]["Message"][];
            /**
             * Cautions
             * @default []
             */
            cautions: components["schemas"]["Message"][];
        };
        /**
         * Order
         * @description An order from a shop: when it was placed, when it should be here, what is in it, how it stands.
         *
         *     `own`: from a shop of hers. The day it comes is as she was told, and what is in the parcel she tells herself.
         */
        Order: {
            /**
             * Id
             * @description A piece on the shelf.
             */
            id: string;
            /** Shop */
            shop: string;
            /**
             * Placed On
             * Format: date
             */
            placed_on: string;
            /**
             * Due On
             * Format: date
             */
            due_on: string;
            /** Lines */
            lines: components["schemas"]["OrderLine-Output"][];
            /**
             * State
             * @default placed
             * @enum {string}
             */
            state: "placed" | "arrived" | "short" | "cancelled";
            /** Arrived On */
            arrived_on: string | null;
            /**
             * Own
             * @default false
             */
            own: boolean;
        };
        /**
         * OrderLine
         * @description Packs of an article: how much is in one (mm, or pieces), what it costs, for which builds, and what came.
         *
         *     `each_mm` is how long a piece is of what is sold in pieces of a length; `width_mm` how wide a cloth is.
         */
        "OrderLine-Input": {
            article: components["schemas"]["Article"];
            /** Packs */
            packs: number;
            /** Pack */
            pack: number;
            /** Each Mm */
            each_mm?: number | null;
            /** Width Mm */
            width_mm?: number | null;
            /**
             * Price
             * @default 0
             */
            price?: number;
            /**
             * Builds
             * @default []
             */
            builds?: string[];
            /** Came */
            came?: number | null;
        };
        /**
         * OrderLine
         * @description Packs of an article: how much is in one (mm, or pieces), what it costs, for which builds, and what came.
         *
         *     `each_mm` is how long a piece is of what is sold in pieces of a length; `width_mm` how wide a cloth is.
         */
        "OrderLine-Output": {
            article: components["schemas"]["Article"];
            /** Packs */
            packs: number;
            /** Pack */
            pack: number;
            /** Each Mm */
            each_mm: number | null;
            /** Width Mm */
            width_mm: number | null;
            /**
             * Price
             * @default 0
             */
            price: number;
            /**
             * Builds
             * @default []
             */
            builds: string[];
            /** Came */
            came: number | null;
        };
        /**
         * OrderSeen
         * @description An order as it stands today: `on_its_way` once it was sent, `here` when the parcel has come.
         *
         *     `comes` is what the shop has packed of each line.
         */
        OrderSeen: {
            order: components["schemas"]["Order"];
            /** Price */
            price: number;
            /** On Its Way */
            on_its_way: boolean;
            /** Here */
            here: boolean;
            /** Comes */
            comes: number[];
        };
        /**
         * Outcome
         * @description What the final garment does on the stand: whether it passes, its gap, and the body that was hidden.
         */
        Outcome: {
            /** Passes */
            passes: boolean;
            /** Fails */
            fails: ("mean gap" | "tilt" | "bow" | "stand-off" | "pressure" | "closing" | "top edge" | "bottom edge")[];
            /** Mean Gap Mm */
            mean_gap_mm: number;
            /** Tilt Mm */
            tilt_mm: number;
            /** Bow Mm */
            bow_mm: number;
            /** Levels */
            levels: components["schemas"]["TrueLevel"][];
        };
        /**
         * OverlayPlan
         * @description How an overlay in one piece lies: every seam it crosses, and what it gives round the body, as a share.
         *
         *     `lies`: smooth, with the ease that an iron shapes in, or with puckers.
         */
        OverlayPlan: {
            /** Seams */
            seams: components["schemas"]["SeamStrain"][];
            /** Gives */
            gives: number;
            /** Lies */
            lies: string;
        };
        /**
         * OwnKinds
         * @description The maker's own bones and cloths: added to the shipped ones, or in the place of one, by name.
         */
        OwnKinds: {
            /** Bones */
            bones: {
                [key: string]: components["schemas"]["BoneKind"] | undefined;
            };
            /** Cloths */
            cloths: {
                [key: string]: components["schemas"]["Cloth"] | undefined;
            };
        };
        /**
         * OwnStep
         * @description A step of her own: after which steps, and before which.
         */
        OwnStep: {
            /** Key */
            key: string;
            /** Name */
            name: string;
            /**
             * Minutes
             * @default 30
             */
            minutes: number;
            /**
             * Waits H
             * @default 0
             */
            waits_h: number;
            /**
             * After
             * @default []
             */
            after: string[];
            /**
             * Before
             * @default []
             */
            before: string[];
        };
        /**
         * Pad
         * @description Padding at a level: how thick it is there, on each side of it that is meant. It runs out at the next levels.
         *
         *     That of the shoulders is worn in the costume over it, and adds to no girth.
         */
        Pad: {
            /** Level */
            level: ("upper_neck" | "neck_base" | "collarbone" | "high_bust" | "bust" | "underbust" | "ribs" | "waist" | "high_hip" | "hip") | "shoulders";
            /**
             * Place
             * @default sides
             * @enum {string}
             */
            place: "sides" | "front" | "back" | "all round";
            /**
             * Cloth
             * @description A cloth in the catalogue.
             * @default foam
             */
            cloth: string;
            /** Thick Mm */
            thick_mm: number;
        };
        /**
         * PadLayer
         * @description A layer of a pad, cut as one flat piece; the outline is centred on where it is thickest, mm.
         */
        PadLayer: {
            /** Outline */
            outline: [
                number,
                number
            ][];
        };
        /**
         * PadMade
         * @description A pad as it is cut: its layers from the largest, how many there are of it, and by how much it widens her.
         */
        PadMade: {
            /** Level */
            level: ("upper_neck" | "neck_base" | "collarbone" | "high_bust" | "bust" | "underbust" | "ribs" | "waist" | "high_hip" | "hip") | "shoulders";
            /**
             * Place
             * @enum {string}
             */
            place: "sides" | "front" | "back" | "all round";
            /** Name */
            name: string;
            /**
             * Cloth
             * @description A cloth in the catalogue.
             */
            cloth: string;
            /** Thick Mm */
            thick_mm: number;
            /** Girth Mm */
            girth_mm: number;
            /** Count */
            count: number;
            /** Layers */
            layers: components["schemas"]["PadLayer"][];
            /** Wide Mm */
            wide_mm: number;
            /** High Mm */
            high_mm: number;
        };
        /**
         * Padding
         * @description What to do to the stand at one level: pad it by so much of girth, in a layer so thick, or pin out.
         */
        Padding: {
            /**
             * Name
             * @enum {string}
             */
            name: "upper_neck" | "neck_base" | "collarbone" | "high_bust" | "bust" | "underbust" | "ribs" | "waist" | "high_hip" | "hip";
            /** Label */
            label: string;
            /** Stand Mm */
            stand_mm: number;
            /** Wearer Mm */
            wearer_mm: number;
            /** Change Mm */
            change_mm: number;
            /** Layer Mm */
            layer_mm: number;
            /**
             * Kind
             * @enum {string}
             */
            kind: "pad" | "pin out" | "as it is";
        };
        /**
         * Panel
         * @description One panel: the x of its edge toward CF and of its edge toward CB, at every station, and bumps on them.
         */
        Panel: {
            /** Number */
            number: number;
            /** Cf Edge Mm */
            cf_edge_mm: number[];
            /** Cb Edge Mm */
            cb_edge_mm: number[];
            /**
             * Cf Bumps
             * @default []
             */
            cf_bumps: components["schemas"]["Bump"][];
            /**
             * Cb Bumps
             * @default []
             */
            cb_bumps: components["schemas"]["Bump"][];
        };
        /**
         * PanelRoom
         * @description A panel: all of it, what seams and hardware take, and what is free; whether a motif fits, and where.
         */
        PanelRoom: {
            /** Panel */
            panel: number;
            /** Whole Cm2 */
            whole_cm2: number;
            /** Taken Cm2 */
            taken_cm2: number;
            /** Free Cm2 */
            free_cm2: number;
            /** Areas */
            areas: components["schemas"]["FreeArea"][];
            /** Widest Mm */
            widest_mm: number;
        };
        /**
         * Parcel
         * @description An order that is under way: from whom, what is in it, for which builds, and when it should be here.
         */
        Parcel: {
            /** Shop */
            shop: string;
            /**
             * Due On
             * Format: date
             */
            due_on: string;
            /** What */
            what: string[];
            /** Builds */
            builds: string[];
        };
        /**
         * Part
         * @description One part of a mock-up: what it is to be, why, and what makes it so where it is not yet.
         */
        Part: {
            /** Part */
            part: string;
            what: components["schemas"]["Message"];
            why: components["schemas"]["Message"];
            /**
             * Changes
             * @default []
             */
            changes: components["schemas"]["Change-Output"][];
        };
        /**
         * PartHalves
         * @description Let the left half differ from the right, or make both the same (as the right is) again.
         */
        PartHalves: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "halves";
            /** Differ */
            differ: boolean;
        };
        /**
         * Past
         * @description A line of a build's history.
         */
        Past: {
            /** Revision */
            revision: number;
            /** Label */
            label: string;
            /**
             * Made At
             * Format: date-time
             */
            made_at: string;
            /** Present */
            present: boolean;
        };
        /**
         * Patch
         * @description A grid of points, row by row from the lowest, as x, y, z after each other in mm, with what is felt at each point.
         *
         *     `share`: the mean pressure round the ring as a share of what is comfortable there; empty where nothing is pressed.
         */
        Patch: {
            /** Name */
            name: string;
            /** Panel */
            panel: number | null;
            /** Columns */
            columns: number;
            /** Rows */
            rows: number;
            /** Points */
            points: number[];
            /**
             * Share
             * @default []
             */
            share: number[];
        };
        /**
         * Pattern
         * @description A half pattern, and the left half where it differs. `front_panels` lie between CF and the side seam.
         *
         *     `joined` seams are not cut: both panels are one piece, and what lies between their edges is stitched as a dart.
         */
        Pattern: {
            /** Stations */
            stations: components["schemas"]["Station"][];
            /** Panels */
            panels: components["schemas"]["Panel"][];
            /** Front Panels */
            front_panels: number;
            top: components["schemas"]["EdgeLine"];
            hem: components["schemas"]["EdgeLine"];
            left: components["schemas"]["LeftHalf"] | null;
            /**
             * @default {
             *       "seams_mm": 15,
             *       "top_mm": 0,
             *       "hem_mm": 0,
             *       "cf_mm": 20,
             *       "cb_mm": 45,
             *       "by_seam": {}
             *     }
             */
            allowances: components["schemas"]["Allowances"];
            /**
             * Gussets
             * @default []
             */
            gussets: components["schemas"]["Gusset"][];
            /**
             * Darts
             * @default []
             */
            darts: components["schemas"]["Dart"][];
            /**
             * Joined
             * @default []
             */
            joined: number[];
            /**
             * Slack
             * @description Cloth that stood off in one place while the rest lay on, and was taken out: it bore no tension.
             * @default []
             */
            slack: components["schemas"]["BlockGirth"][];
            /**
             * Decided
             * @description What the maker changed by hand beside what was worked out: later changes start from it.
             * @default []
             */
            decided: components["schemas"]["BlockGirth"][];
            /**
             * Strain
             * @description Tension of the curves between stations, fixed when the pattern is made, so that no later edit moves what it does not name; empty takes just enough for the edges as they are.
             * @default []
             */
            strain: number[];
        };
        /**
         * PatternEdits
         * @description Edits to keep, made on a revision.
         */
        PatternEdits: {
            /** Edits */
            edits: (components["schemas"]["WrittenSetWidth"] | components["schemas"]["WrittenMoveSeam"] | components["schemas"]["WrittenLaySeam"] | components["schemas"]["WrittenTrimEdge"] | components["schemas"]["WrittenMovePoint"] | components["schemas"]["WrittenDropPoint"] | components["schemas"]["WrittenShapeLine"] | components["schemas"]["WrittenSplitPanel"] | components["schemas"]["WrittenDropSeam"] | components["schemas"]["WrittenAddGusset"] | components["schemas"]["WrittenAddDart"] | components["schemas"]["WrittenDropInsert"] | components["schemas"]["WrittenJoinSeam"] | components["schemas"]["WrittenSetAllowance"] | components["schemas"]["WrittenPartHalves"])[];
            /** Revision */
            revision: number;
        };
        /**
         * PatternVersion
         * @description A pattern as it was cut. It is never changed; an alteration makes the next one.
         */
        PatternVersion: {
            /** Number */
            number: number;
            /** Parent */
            parent: number | null;
            /**
             * Reason
             * @default
             */
            reason: string;
            /**
             * Name
             * @default
             */
            name: string;
            /**
             * Note
             * @default
             */
            note: string;
            /**
             * Fitting
             * @description Number of the fitting that it came from.
             */
            fitting: number | null;
            /**
             * Fitting Corrected
             * @description How often that fitting had been corrected by then.
             * @default 0
             */
            fitting_corrected: number;
            /** Made On */
            made_on: string | null;
            pattern: components["schemas"]["Pattern"];
            alteration: components["schemas"]["Alteration"] | null;
            /**
             * Made For
             * @description A mark of what was known and wished when it was made.
             * @default
             */
            made_for: string;
            /**
             * Cut
             * @description False while it is still drawn on; cutting or trying it on fixes it.
             * @default true
             */
            cut: boolean;
            /**
             * Changes
             * @description Edits by hand, in words.
             * @default []
             */
            changes: string[];
        };
        /**
         * Photo
         * @description A photo that the workshop keeps under `id`, with its size in pixels.
         */
        Photo: {
            /**
             * Id
             * @description SHA-256 of the picture's bytes.
             */
            id: string;
            /**
             * Name
             * @default
             */
            name: string;
            /** Width Px */
            width_px: number;
            /** Height Px */
            height_px: number;
        };
        /**
         * Picture
         * @description A reference picture or a sketch, kept by the workshop under `id`, with what is marked on it.
         */
        Picture: {
            /**
             * Id
             * @description SHA-256 of the picture's bytes.
             */
            id: string;
            /**
             * Name
             * @default
             */
            name: string;
            /**
             * Role
             * @default reference
             * @enum {string}
             */
            role: "reference" | "sketch";
            /**
             * Note
             * @default
             */
            note: string;
            /** Width Px */
            width_px: number;
            /** Height Px */
            height_px: number;
            /**
             * Marks
             * @default []
             */
            marks: components["schemas"]["Mark"][];
            /**
             * Made
             * @default drawn
             * @enum {string}
             */
            made: "drawn" | "filmed";
            /**
             * Turned Deg
             * @description To her right, so that her left is seen; the other way below 0; 180 from behind.
             * @default 0
             */
            turned_deg: number;
            /**
             * Stays
             * @description The level that sets the picture's scale; None: all.
             */
            stays: ("upper_neck" | "neck_base" | "collarbone" | "high_bust" | "bust" | "underbust" | "ribs" | "waist" | "high_hip" | "hip") | "shoulders" | null;
        };
        /**
         * PictureLines
         * @description The lines of one picture, both ways; `fault` where it can't be told how she stands on it.
         */
        PictureLines: {
            /** Picture */
            picture: string;
            /**
             * Marks
             * @default []
             */
            marks: components["schemas"]["MarkRead"][];
            /**
             * Back
             * @default []
             */
            back: components["schemas"]["LineBack"][];
            /**
             * Outline
             * @default []
             */
            outline: components["schemas"]["LineBack"][];
            fault: components["schemas"]["Message"] | null;
        };
        /**
         * PinPieces
         * @description Pieces of a cloth that stay where she put them.
         */
        PinPieces: {
            /** Revision */
            revision: number;
            /** Pinned */
            pinned: components["schemas"]["Pinned-Input"][];
        };
        /**
         * Pinch
         * @description Pinched out of a named seam between two heights, or slashed open (below zero): mm at its peak, on each half.
         *
         *     What only one half needed is of that half.
         */
        Pinch: {
            /**
             * Seam
             * @description Seam k joins panels k and k + 1.
             */
            seam: number;
            /** From Mm */
            from_mm: number;
            /** To Mm */
            to_mm: number;
            /** Amount Mm */
            amount_mm: number;
            /**
             * Half
             * @default both
             * @enum {string}
             */
            half: "both" | "right" | "left";
        };
        /**
         * Pinned
         * @description A piece that stays where she put it: on which sheet, the how-manieth, mirrored or not, at which angle, where.
         */
        "Pinned-Input": {
            /** Sheet */
            sheet: string;
            /** Key */
            key: string;
            /**
             * Mirrored
             * @default false
             */
            mirrored?: boolean;
            /**
             * Angle Deg
             * @default 0
             */
            angle_deg?: number;
            /** X Mm */
            x_mm: number;
            /** Y Mm */
            y_mm: number;
        };
        /**
         * Pinned
         * @description A piece that stays where she put it: on which sheet, the how-manieth, mirrored or not, at which angle, where.
         */
        "Pinned-Output": {
            /** Sheet */
            sheet: string;
            /** Key */
            key: string;
            /**
             * Mirrored
             * @default false
             */
            mirrored: boolean;
            /**
             * Angle Deg
             * @default 0
             */
            angle_deg: number;
            /** X Mm */
            x_mm: number;
            /** Y Mm */
            y_mm: number;
        };
        /**
         * Place
         * @description Something that can be found: its name, what else stands there, and where it is, by build, wearer or piece.
         *
         *     `build`: the one in which a wearer is looked at.
         */
        Place: {
            /**
             * Kind
             * @enum {string}
             */
            kind: "build" | "wearer" | "shelf" | "card";
            /** Name */
            name: string;
            /**
             * About
             * @default
             */
            about: string;
            /**
             * Id
             * @default
             */
            id: string;
            /**
             * Build
             * @default
             */
            build: string;
            /**
             * More
             * @default
             */
            more: string;
        };
        /**
         * PlaceDug
         * @description A place at which it dug though the gap says that it presses little there: by what share of her comfort.
         *
         *     `round` is 0 at CF, 1 at the side, 2 at CB; `z_mm` as the levels lie at the side.
         */
        PlaceDug: {
            /** Fitting */
            fitting: number;
            /** Tap */
            tap: number;
            /**
             * View
             * @enum {string}
             */
            view: "front" | "side" | "back";
            /**
             * Half
             * @enum {string}
             */
            half: "both" | "right" | "left";
            /** Round */
            round: number;
            /** Z Mm */
            z_mm: number;
            /** Expected Share */
            expected_share: number;
        };
        /**
         * PlaceOrder
         * @description An order to place: with whom, and what. With `due_on`, from a shop of hers, here by that day.
         */
        PlaceOrder: {
            /** Revision */
            revision?: number | null;
            /** Shop */
            shop: string;
            /** Lines */
            lines: components["schemas"]["OrderLine-Input"][];
            /** Due On */
            due_on?: string | null;
        };
        /**
         * Placed
         * @description A piece where it lies: which, the how-manieth, mirrored or not, turned by so much from its grain, its outline.
         *
         *     `x_mm`, `y_mm` is where the origin of its own frame lies; `angle_deg` is anticlockwise on the cloth.
         */
        Placed: {
            /** Key */
            key: string;
            /** Number */
            number: number;
            /** Mirrored */
            mirrored: boolean;
            /** Angle Deg */
            angle_deg: number;
            /** X Mm */
            x_mm: number;
            /** Y Mm */
            y_mm: number;
            /** Outline */
            outline: [
                number,
                number
            ][];
        };
        /**
         * PlacedChange
         * @description A change along one seam, on one half or both, mm at each panel edge at its peak; positive lets out.
         *
         *     None at low or high lets it run out at the hem or the top line. `seen` is what it answers, at `fitting`.
         */
        PlacedChange: {
            /**
             * Seam
             * @description Seam k joins panels k and k + 1.
             */
            seam: number;
            /**
             * Half
             * @default both
             * @enum {string}
             */
            half: "both" | "right" | "left";
            /** Low Mm */
            low_mm: number | null;
            /** Peak Mm */
            peak_mm: number;
            /** High Mm */
            high_mm: number | null;
            /** Cf Side Mm */
            cf_side_mm: number;
            /** Cb Side Mm */
            cb_side_mm: number;
            /**
             * Seen
             * @default by hand
             * @enum {string}
             */
            seen: "pinned" | "slashed" | "stood off" | "by hand";
            /** Fitting */
            fitting: number | null;
        };
        /**
         * PlacedHoles
         * @description Where the holes of a half are punched: in the frames of its last and its first panel, mm from the top down.
         *
         *     `along_mm` is how far up the fold each lies from the waist, as a strip that is laid on the fold has it.
         */
        PlacedHoles: {
            /** Behind */
            behind: [
                number,
                number
            ][];
            /** Behind Along Mm */
            behind_along_mm: number[];
            /** In Front */
            in_front: [
                number,
                number
            ][];
            /** In Front Along Mm */
            in_front_along_mm: number[];
        };
        /**
         * Plan
         * @description Everything that follows from a Build. Fields are None while measures are missing.
         */
        Plan: {
            /**
             * Bones
             * @default []
             */
            bones: components["schemas"]["Bone"][];
            left: components["schemas"]["LeftHardware"] | null;
            /**
             * Between
             * @default []
             */
            between: components["schemas"]["Between"][];
            boning: components["schemas"]["Boning"] | null;
            /**
             * Unboned
             * @default []
             */
            unboned: components["schemas"]["Stretch"][];
            /** Unboned Limit Mm */
            unboned_limit_mm: number | null;
            /** Mock Up Bones Mm */
            mock_up_bones_mm: {
                [key: string]: number | undefined;
            };
            reuse: components["schemas"]["BoneReuse"] | null;
            before: components["schemas"]["Before"] | null;
            /** Sections */
            sections: {
                [key: string]: components["schemas"]["Section"] | undefined;
            };
            busk: components["schemas"]["Busk"] | null;
            opening: components["schemas"]["Opening"] | null;
            /**
             * Ways
             * @default []
             */
            ways: components["schemas"]["WayIn"][];
            getting_in: components["schemas"]["WayIn"] | null;
            holes: components["schemas"]["Holes"] | null;
            lace: components["schemas"]["Lace"] | null;
            /**
             * Walk
             * @default []
             */
            walk: components["schemas"]["LaceStep"][];
            /**
             * Front Walk
             * @default []
             */
            front_walk: components["schemas"]["LaceStep"][];
            front_lace: components["schemas"]["Lace"] | null;
            modesty: components["schemas"]["ModestyPanel"] | null;
            waist_tape: components["schemas"]["WaistTape"] | null;
            /** Lace Mm */
            lace_mm: number | null;
            /**
             * Missing
             * @default []
             */
            missing: ("upper_neck" | "neck_base" | "collarbone" | "high_bust" | "bust" | "underbust" | "ribs" | "waist" | "high_hip" | "hip")[];
            /**
             * Unmakeable
             * @default false
             */
            unmakeable: boolean;
            body: components["schemas"]["Body"] | null;
            /**
             * Stand
             * @default []
             */
            stand: components["schemas"]["Padding"][];
            /**
             * Pads
             * @default []
             */
            pads: components["schemas"]["PadMade"][];
            stack: components["schemas"]["Stack"] | null;
            aim: components["schemas"]["Aim"] | null;
            /**
             * Levels
             * @default []
             */
            levels: components["schemas"]["LevelFit"][];
            gap_shape: components["schemas"]["GapShape"] | null;
            final: components["schemas"]["Fit"] | null;
            mock_up: components["schemas"]["Fit"] | null;
            pattern: components["schemas"]["PlannedPattern"] | null;
            drafted: components["schemas"]["Pattern"] | null;
            /**
             * Seams
             * @default []
             */
            seams: components["schemas"]["TruedSeam"][];
            learned: components["schemas"]["Learned"] | null;
            readiness: components["schemas"]["Readiness"] | null;
            headline: components["schemas"]["Message"] | null;
            verdict: components["schemas"]["Verdict"] | null;
            /**
             * Made For
             * @default
             */
            made_for: string;
            proposal: components["schemas"]["Proposal"] | null;
            prediction: components["schemas"]["Foreseen"] | null;
            mock_up_plan: components["schemas"]["MockUpPlan"] | null;
            /**
             * Stale
             * @description Versions from a fitting that was corrected since.
             * @default []
             */
            stale: number[];
            cup_boning: components["schemas"]["CupBoning"] | null;
            layers: components["schemas"]["LayersPlan"] | null;
            trims: components["schemas"]["TrimsPlan"] | null;
            /**
             * Findings
             * @default []
             */
            findings: components["schemas"]["Finding"][];
        };
        /**
         * PlannedPattern
         * @description The pattern that the later stages work from, laid flat. `left_*` are None where both halves are the same.
         */
        PlannedPattern: {
            /** Version */
            version: number | null;
            /** Cut */
            cut: boolean;
            /** Zero */
            zero: string;
            /** Panels */
            panels: components["schemas"]["LaidPanel"][];
            /** Left Panels */
            left_panels: components["schemas"]["LaidPanel"][] | null;
            /** Pieces */
            pieces: components["schemas"]["LaidPiece"][];
            cup: components["schemas"]["Cup"] | null;
            /** Front Panels */
            front_panels: number;
            top: components["schemas"]["EdgeLine"];
            hem: components["schemas"]["EdgeLine"];
            left_top: components["schemas"]["EdgeLine"] | null;
            left_hem: components["schemas"]["EdgeLine"] | null;
            /** Top Places */
            top_places: number[];
            /** Hem Places */
            hem_places: number[];
            /** Gussets */
            gussets: components["schemas"]["Gusset"][];
            /** Darts */
            darts: components["schemas"]["Dart"][];
            /** Joined */
            joined: number[];
            allowances: components["schemas"]["Allowances"];
            /** Bust Place */
            bust_place: number;
        };
        /**
         * Ply
         * @description A ply: what it does, of which cloth, over which panels (None: all), and how it is mounted (None: as the method
         *     has it).
         *
         *     `grain` runs from waist to hem, and no matter how where it is `grain_free`; `thickness_mm` is hers as measured, else
         *     the catalogue's; `allowances` are its own where it is cut with others; `joins` cut a panel in two. A stripe is
         *     `matched` across its seams; a motif is centred on the panels `motif_on`.
         */
        Ply: {
            /**
             * Role
             * @enum {string}
             */
            role: "lining" | "strength" | "interlining" | "fashion" | "overlay";
            /**
             * Cloth
             * @description A cloth in the catalogue.
             */
            cloth: string;
            /** Thickness Mm */
            thickness_mm: number | null;
            /** Panels */
            panels: number[] | null;
            /** Mounted */
            mounted: ("fused" | "flat-lined" | "floating" | "bagged" | "overlaid by panels" | "overlaid in one piece") | null;
            /**
             * Grain
             * @default along
             * @enum {string}
             */
            grain: "along" | "across" | "bias";
            /**
             * Grain Free
             * @default false
             */
            grain_free: boolean;
            allowances: components["schemas"]["Allowances"] | null;
            /**
             * Joins
             * @default []
             */
            joins: components["schemas"]["Join"][];
            /**
             * Matched
             * @default false
             */
            matched: boolean;
            /**
             * Motif On
             * @default []
             */
            motif_on: number[];
        };
        /**
         * PlyPlan
         * @description A ply as it will be made: over which panels, how mounted, and what follows.
         *
         *     `grows_mm` is how much further it goes round than the strength ply (− is less far), `grows_edge_mm` what each edge
         *     is cut wider for it at the seams `grows_at` (0 is CF, the last CB): none, where it is too little to cut;
         *     `grows_all`: at every one. `carries_n_per_m` is the most that it carries anywhere, of the `holds_n_per_m` that it
         *     bears; None where it carries nothing.
         */
        PlyPlan: {
            /**
             * Role
             * @enum {string}
             */
            role: "lining" | "strength" | "interlining" | "fashion" | "overlay";
            /**
             * Cloth
             * @description A cloth in the catalogue.
             */
            cloth: string;
            /** Label */
            label: string;
            /** Panels */
            panels: number[];
            /**
             * Mounted
             * @enum {string}
             */
            mounted: "fused" | "flat-lined" | "floating" | "bagged" | "overlaid by panels" | "overlaid in one piece";
            /** Sewn As One */
            sewn_as_one: boolean;
            /**
             * Grain
             * @enum {string}
             */
            grain: "along" | "across" | "bias";
            /** One Way */
            one_way: boolean;
            /** Thickness Mm */
            thickness_mm: number;
            /** Grows Mm */
            grows_mm: number;
            /** Grows Edge Mm */
            grows_edge_mm: number;
            /** Grows At */
            grows_at: number[];
            /** Grows All */
            grows_all: boolean;
            /** Carries N Per M */
            carries_n_per_m: number | null;
            /** Holds N Per M */
            holds_n_per_m: number;
            /** Grams */
            grams: number;
        };
        /**
         * Pose
         * @description How a figure stands on a picture: turned by so much about upright, at which scale, where its axis and waist lie.
         *
         *     `mm` is what the picture's width is at her scale; a positive turn shows her left.
         */
        Pose: {
            /** Turn Deg */
            turn_deg: number;
            /** Mm */
            mm: number;
            /** Axis */
            axis: number;
            /** Waist */
            waist: number;
        };
        /**
         * Practice
         * @description Editable workshop defaults. Units are in the names; the description of each field is its reason.
         */
        Practice: {
            /**
             * Pressure Scale Kpa
             * @description Pressure at which flesh has given most of what it gives.
             * @default 2
             */
            pressure_scale_kpa: number;
            /**
             * Tape Spread Single Mm
             * @description One reading of a tape is good to about this.
             * @default 7
             */
            tape_spread_single_mm: number;
            /**
             * Tape Spread Least Mm
             * @description However often it is read, a tape is no better.
             * @default 3
             */
            tape_spread_least_mm: number;
            /**
             * Tape Spread Unconfirmed Mm
             * @description A number sent by a client and not confirmed.
             * @default 12
             */
            tape_spread_unconfirmed_mm: number;
            /**
             * Tape Spread Guessed Mm
             * @description A level nobody measured, filled in from its neighbours.
             * @default 25
             */
            tape_spread_guessed_mm: number;
            /**
             * Readings Disagree Mm
             * @description Two readings further apart than this: measure again.
             * @default 15
             */
            readings_disagree_mm: number;
            /**
             * Ruler Spread Mm
             * @description A gap read with a ruler on a laced back.
             * @default 3
             */
            ruler_spread_mm: number;
            /**
             * Word Spread
             * @description How much an answer in words is trusted: wider is less.
             * @default 1
             */
            word_spread: number;
            /**
             * Laced Spread Mm
             * @description A girth taped over the laced garment.
             * @default 5
             */
            laced_spread_mm: number;
            /**
             * Pinch Spread Mm
             * @description What was pinched out or slashed open at a seam.
             * @default 4
             */
            pinch_spread_mm: number;
            /**
             * Dig Let Out Mm
             * @description What the nearest seam is let out by, on each half, where a place digs.
             * @default 6
             */
            dig_let_out_mm: number;
            /**
             * Side Seam Off Mm
             * @description A side seam that swings by less hangs where it should.
             * @default 2
             */
            side_seam_off_mm: number;
            /**
             * Waist Off Mm
             * @description A waist that sits higher or lower by less sits where it should.
             * @default 5
             */
            waist_off_mm: number;
            /**
             * Word Holds Mm
             * @description By so much a word of where it digs or stands off goes before the gaps.
             * @default 5
             */
            word_holds_mm: number;
            /**
             * Place Reach Mm
             * @description How far up and down a place reaches that was touched.
             * @default 40
             */
            place_reach_mm: number;
            /**
             * Model Spread Mm
             * @description What a gap differs by from any model, however good.
             * @default 2
             */
            model_spread_mm: number;
            /**
             * Give Spread
             * @description How far one body's give is from the table's.
             * @default 0.3
             */
            give_spread: number;
            /**
             * Pull Spread
             * @description One evening's “close” is another's “firm”.
             * @default 0.2
             */
            pull_spread: number;
            /**
             * Pull Lean
             * @description How much harder a lace is drawn at the top than at the bottom.
             * @default 0.03
             */
            pull_lean: number;
            /**
             * Lace Friction
             * @description What of the pull is lost in the holes on the way to the far end.
             * @default 0.1
             */
            lace_friction: number;
            /**
             * Friction Spread
             * @description How far that is from lace to lace.
             * @default 0.08
             */
            friction_spread: number;
            /**
             * Pulls Together
             * @description How much two lacings of one evening are alike in their pull.
             * @default 0.5
             */
            pulls_together: number;
            /**
             * Ride Spread Mm
             * @description A garment finds its own place on a body, higher or lower.
             * @default 4
             */
            ride_spread_mm: number;
            /**
             * Once Share
             * @description How much of that differs from one lacing to the next.
             * @default 0.15
             */
            once_share: number;
            /**
             * Unsaid Stand Off Mm
             * @description Had it gaped by more, she would have said so.
             * @default 10
             */
            unsaid_stand_off_mm: number;
            /**
             * Evenings Differ Mm
             * @description One garment at one pull reads so much alike, evening to evening.
             * @default 15
             */
            evenings_differ_mm: number;
            /**
             * Ride Told Mm
             * @description How far a waist that was told to sit high or low may do so once only.
             * @default 10
             */
            ride_told_mm: number;
            /**
             * Ride Seen Mm
             * @description Where a waist sits is seen to so much.
             * @default 4
             */
            ride_seen_mm: number;
            /**
             * Mark Share
             * @description How finely a mark is set on a picture, as a share of its width.
             * @default 0.002
             */
            mark_share: number;
            /**
             * Pinned Spread Mm
             * @description A gap that is pinned does not breathe.
             * @default 2
             */
            pinned_spread_mm: number;
            /**
             * Pinned Pull Spread
             * @description Fingers that pin draw anyhow.
             * @default 0.5
             */
            pinned_pull_spread: number;
            /**
             * Unboned Wider
             * @description Without bones cloth wrinkles: what is seen counts for less.
             * @default 2
             */
            unboned_wider: number;
            /**
             * Thin Wider
             * @description So it does in a cloth thinner than half the final one.
             * @default 1.5
             */
            thin_wider: number;
            /**
             * Bare Edge N M2
             * @description What a folded edge with grommets and no bone resists.
             * @default 0.03
             */
            bare_edge_n_m2: number;
            /**
             * Tape Common Mm
             * @description A tape held tight, loose or over a shirt errs at every level alike.
             * @default 4
             */
            tape_common_mm: number;
            /**
             * Flesh Scale Spread
             * @description How far one body's flesh is from the table's pressure scale.
             * @default 0.25
             */
            flesh_scale_spread: number;
            /**
             * Stiffening Spread
             * @description How sharply flesh stiffens differs from body to body.
             * @default 0.5
             */
            stiffening_spread: number;
            /**
             * Comfort Spread
             * @description Where it begins to dig is hers, not the table's.
             * @default 0.17
             */
            comfort_spread: number;
            /**
             * Between Spread Mm
             * @description Between its levels a body is not the smooth curve through them.
             * @default 5
             */
            between_spread_mm: number;
            /**
             * Between Reach Mm
             * @description Over such a height a body's girth runs alike.
             * @default 35
             */
            between_reach_mm: number;
            /**
             * Beyond Spread Share
             * @description It is known less and less past the last level measured.
             * @default 0.15
             */
            beyond_spread_share: number;
            /**
             * Strip Spread
             * @description A strip under a weight tells of its cloth to this share.
             * @default 0.002
             */
            strip_spread: number;
            /**
             * Pass Room Mm
             * @description A collar with so much more or less room than wished is as wished.
             * @default 10
             */
            pass_room_mm: number;
            /**
             * Room Spread Mm
             * @description How closely a collar is tied to the room that was wished.
             * @default 6
             */
            room_spread_mm: number;
            /**
             * Ready Share
             * @description Odds at which the real cloth is cut; where bodies differ from the model, lower ones promise too much.
             * @default 0.95
             */
            ready_share: number;
            /**
             * Pass Mean Mm
             * @description A mean gap this near to the wish is as wished.
             * @default 12
             */
            pass_mean_mm: number;
            /**
             * Pass Shape Mm
             * @description Tilt and bow under this pass for straight at arm's length.
             * @default 12
             */
            pass_shape_mm: number;
            /**
             * Stand Near Mm
             * @description A stand this near to the wearer needs nothing done to it.
             * @default 5
             */
            stand_near_mm: number;
            /**
             * Light Pull N Per M
             * @description Laced up, not drawn in.
             * @default 100
             */
            light_pull_n_per_m: number;
            /**
             * Close Pull N Per M
             * @description Drawn in until it holds.
             * @default 180
             */
            close_pull_n_per_m: number;
            /**
             * Firm Pull N Per M
             * @description As hard as one person pulls for an evening.
             * @default 260
             */
            firm_pull_n_per_m: number;
            /**
             * Support Light N Per M
             * @description A bodice that only supports, laced lightly.
             * @default 60
             */
            support_light_n_per_m: number;
            /**
             * Support Close N Per M
             * @description A bodice that only supports.
             * @default 75
             */
            support_close_n_per_m: number;
            /**
             * Support Firm N Per M
             * @description A bodice that only supports, drawn well closed.
             * @default 90
             */
            support_firm_n_per_m: number;
            /**
             * Planned Pull N Per M
             * @description Laced so, each level has its share of the waist's tension; laced harder, more of it.
             * @default 260
             */
            planned_pull_n_per_m: number;
            /**
             * Share High Bust
             * @description Holds the edge to the body; breath goes here.
             * @default 0.25
             */
            share_high_bust: number;
            /**
             * Share Bust
             * @description Held, not flattened.
             * @default 0.25
             */
            share_bust: number;
            /**
             * Share Underbust
             * @description Ribs are not to be reshaped: less pull there than at the waist.
             * @default 0.4
             */
            share_underbust: number;
            /**
             * Share Ribs
             * @description As at the underbust.
             * @default 0.4
             */
            share_ribs: number;
            /**
             * Share High Hip
             * @description Carries the garment; bone lies close under the skin.
             * @default 0.6
             */
            share_high_hip: number;
            /**
             * Share Hip
             * @description Enough to lie on, not to squeeze.
             * @default 0.5
             */
            share_hip: number;
            /**
             * Least Tension N Per M
             * @description Less than this and the edge lifts off.
             * @default 15
             */
            least_tension_n_per_m: number;
            /**
             * Most Give Share
             * @description Past this share of what a level gives, no pull brings more.
             * @default 0.85
             */
            most_give_share: number;
            /**
             * Seam Cap Mm
             * @description A seam that moves further in one version changes what the panel is.
             * @default 12
             */
            seam_cap_mm: number;
            /**
             * Garment Spread Mm
             * @description A garment taped inside, gap and all: so far off at a level.
             * @default 8
             */
            garment_spread_mm: number;
            /**
             * Seam Keeps Mm
             * @description So much allowance a seam keeps when a finished garment is let out.
             * @default 6
             */
            seam_keeps_mm: number;
            /**
             * Plan Hold Mm
             * @description Planned, the lacing edge holds the body in by so much, or it lifts off.
             * @default 17
             */
            plan_hold_mm: number;
            /**
             * Plan Hold Share
             * @description And where flesh gives little, by no more of it: ribs press soon.
             * @default 0.42
             */
            plan_hold_share: number;
            /**
             * Plan Comfort Share
             * @description Plan below what is close but comfortable: bodies differ.
             * @default 0.55
             */
            plan_comfort_share: number;
            /**
             * Caution Reduction New
             * @description Waist reduction that is much for someone new to it.
             * @default 0.1
             */
            caution_reduction_new: number;
            /**
             * Caution Reduction
             * @description Waist reduction that is much for anyone.
             * @default 0.15
             */
            caution_reduction: number;
            /**
             * Caution Reduction Strong
             * @description Waist reduction to warn of on the sheet as well.
             * @default 0.2
             */
            caution_reduction_strong: number;
            /**
             * Caution Ribs
             * @description Ribs are not to be reshaped.
             * @default 0.03
             */
            caution_ribs: number;
            /**
             * Seam Take Up
             * @description Share of the cloth's thickness that each seam takes up.
             * @default 0.4
             */
            seam_take_up: number;
            /**
             * Pad Gives Share
             * @description So far foam and wadding are pressed flat under a garment.
             * @default 0.15
             */
            pad_gives_share: number;
            /**
             * Parallel Mm
             * @description Less tilt or bow than this looks parallel.
             * @default 5
             */
            parallel_mm: number;
            /**
             * Stand Off Mm
             * @description More than this and the garment gapes.
             * @default 6
             */
            stand_off_mm: number;
            /**
             * Worth Changing Mm
             * @description Less than this round the body, scissors and tape do not hold.
             * @default 3
             */
            worth_changing_mm: number;
            /**
             * Least Edge Mm
             * @description Less than this at one edge, chalk and shears do not hold.
             * @default 0.75
             */
            least_edge_mm: number;
            /**
             * Change Step Mm
             * @description Amounts to mark come in steps of this.
             * @default 0.5
             */
            change_step_mm: number;
            /**
             * Friction
             * @description Cloth on cloth on skin.
             * @default 0.3
             */
            friction: number;
            /**
             * Stay Pull N
             * @description A waist stay is hooked so tight, and can still be breathed in.
             * @default 20
             */
            stay_pull_n: number;
            /**
             * Neck Ease Mm
             * @description Two fingers must slide under a collar everywhere.
             * @default 20
             */
            neck_ease_mm: number;
            /**
             * Neck Pull N Per M
             * @description A collar is laced until it touches, never drawn in.
             * @default 10
             */
            neck_pull_n_per_m: number;
            /**
             * Cup Wire Share
             * @description An underwire's width as a share of bust point to bust point.
             * @default 0.72
             */
            cup_wire_share: number;
            /**
             * Shoulder Width Mm
             * @description How far a shoulder piece reaches out from the collar's hem.
             * @default 70
             */
            shoulder_width_mm: number;
            /**
             * Least Panel Width Mm
             * @description Narrower, and a panel is all seam allowance.
             * @default 15
             */
            least_panel_width_mm: number;
            /**
             * Notch Pitch Mm
             * @description Far enough apart to count, near enough to match.
             * @default 90
             */
            notch_pitch_mm: number;
            /**
             * Ease In Mm
             * @description Two seam edges may differ by this after trueing.
             * @default 0.5
             */
            ease_in_mm: number;
            /**
             * Machine Mm
             * @description What the machine sews through, pressed under its foot.
             * @default 5
             */
            machine_mm: number;
            /**
             * Iron Ease Share
             * @description What steam and an iron shrink or stretch into place.
             * @default 0.015
             */
            iron_ease_share: number;
            /**
             * Growth Matters Mm
             * @description Less than this on a panel edge, no scissors cut.
             * @default 0.5
             */
            growth_matters_mm: number;
            /**
             * Waist Tape Mm
             * @description How wide a waist tape is.
             * @default 25
             */
            waist_tape_mm: number;
            /**
             * Waist Tape Kn
             * @description How stiff a waist tape is: newtons for so much, in thousands.
             * @default 12
             */
            waist_tape_kn: number;
            /**
             * Tape Band Mm
             * @description How high a band of cloth a waist tape draws with it.
             * @default 60
             */
            tape_band_mm: number;
            /**
             * Grain Leans Deg
             * @description A stripe that meets a seam at other angles breaks there.
             * @default 2
             */
            grain_leans_deg: number;
            /**
             * Binding Mm
             * @description What shows of a binding.
             * @default 10
             */
            binding_mm: number;
            /**
             * Binding Turn Mm
             * @description Turned in at each end of a binding, a facing or a tape.
             * @default 15
             */
            binding_turn_mm: number;
            /**
             * Join Allowance Mm
             * @description Seam allowance where strips are joined.
             * @default 6
             */
            join_allowance_mm: number;
            /**
             * Facing Mm
             * @description How wide a facing is cut behind what opens the front.
             * @default 60
             */
            facing_mm: number;
            /**
             * Modesty Allowance Mm
             * @description Seam allowance round a modesty panel.
             * @default 10
             */
            modesty_allowance_mm: number;
            /**
             * Loop Mm
             * @description Tape for one loop in a lacing edge, caught at both ends.
             * @default 45
             */
            loop_mm: number;
            /**
             * Separation Mm
             * @description Between pieces on the cloth, so that scissors pass.
             * @default 2
             */
            separation_mm: number;
            /**
             * Thread Per Seam
             * @description A lockstitch takes so much thread to a length of seam.
             * @default 2.8
             */
            thread_per_seam: number;
            /**
             * Sewing Days
             * @description Everything has to be here so many days before it is needed.
             * @default 10
             */
            sewing_days: number;
            /**
             * Scrap Least Mm
             * @description A rest in which no circle of this fits is not worth keeping.
             * @default 120
             */
            scrap_least_mm: number;
            /**
             * Grain Strict Deg
             * @description Where a ply carries pull its grain is true to this.
             * @default 2
             */
            grain_strict_deg: number;
            /**
             * Grain Free Deg
             * @description Elsewhere it may lean so far.
             * @default 10
             */
            grain_free_deg: number;
            /**
             * Edge Beam Mm
             * @description Bones within this of the lacing edge stiffen it.
             * @default 40
             */
            edge_beam_mm: number;
            /**
             * Cloth Edge N M2
             * @description A folded edge without bones is not quite limp.
             * @default 0.02
             */
            cloth_edge_n_m2: number;
            /**
             * Bone Step Mm
             * @description Bones are cut and sold in steps of this: 6.35 is a quarter of an inch.
             * @default 5
             */
            bone_step_mm: number;
            /**
             * Bone Cap Mm
             * @description What a tip or cap adds at each end.
             * @default 1
             */
            bone_cap_mm: number;
            /**
             * Bone Ease Mm
             * @description A bone that must be forced puckers the cloth.
             * @default 1
             */
            bone_ease_mm: number;
            /**
             * Channel Step Mm
             * @description Channel widths are marked to this.
             * @default 0.5
             */
            channel_step_mm: number;
            /**
             * Channel Tape Mm
             * @description Thickness of the tape that a channel is sewn under.
             * @default 0.5
             */
            channel_tape_mm: number;
            /**
             * Strip Margin Mm
             * @description From the edge of a channel tape to its first line of stitching.
             * @default 2
             */
            strip_margin_mm: number;
            /**
             * Strip Turning Mm
             * @description Turned under at each side of a tape that is cut from cloth.
             * @default 7
             */
            strip_turning_mm: number;
            /**
             * Point Clear Mm
             * @description A channel never runs through the point of a gusset or dart.
             * @default 10
             */
            point_clear_mm: number;
            /**
             * Unboned Mm
             * @description A wider stretch of cloth without a bone wrinkles.
             * @default 50
             */
            unboned_mm: number;
            /**
             * Unboned Light Mm
             * @description In a garment that only supports it may be wider.
             * @default 65
             */
            unboned_light_mm: number;
            /**
             * Ready Short Mm
             * @description A ready-cut bone shorter than this leaves the edge to curl.
             * @default 15
             */
            ready_short_mm: number;
            /**
             * Coil Step Mm
             * @description What is sold off a coil comes in steps of this.
             * @default 500
             */
            coil_step_mm: number;
            /**
             * Wire Clear Mm
             * @description An underwire ends so far from the end of its casing.
             * @default 6
             */
            wire_clear_mm: number;
            /**
             * Dip Coats
             * @description Coats on a dipped end; each dries overnight.
             * @default 3
             */
            dip_coats: number;
            /**
             * Spare Bones
             * @description Bones of the longest length cut to spare, of each kind.
             * @default 0
             */
            spare_bones: number;
            /**
             * Busks In Half Inches
             * @description 1 where shops sell busks by the half inch, else 0.
             * @default 0
             */
            busks_in_half_inches: number;
            /**
             * Busk Clearance Mm
             * @description From the busk's end to the edge of the garment.
             * @default 10
             */
            busk_clearance_mm: number;
            /**
             * Busk Loop Ease Mm
             * @description Each side of a loop, so that it slips through.
             * @default 1
             */
            busk_loop_ease_mm: number;
            /**
             * Zip Closes N Per M
             * @description Against a harder pull no hand closes a zip or a busk.
             * @default 260
             */
            zip_closes_n_per_m: number;
            /**
             * Hooks Close N Per M
             * @description Against a harder pull hooks bend open one by one.
             * @default 140
             */
            hooks_close_n_per_m: number;
            /**
             * Front Opens Mm
             * @description A front that is laced opens so far with its lace still in.
             * @default 200
             */
            front_opens_mm: number;
            /**
             * Zip Clear Mm
             * @description A zip or hook ends so far from the edge of the garment.
             * @default 5
             */
            zip_clear_mm: number;
            /**
             * Flap More Mm
             * @description A flap reaches this much further than what it hides.
             * @default 20
             */
            flap_more_mm: number;
            /**
             * Head Mm
             * @description A usual head, where nobody measured it.
             * @default 570
             */
            head_mm: number;
            /**
             * Shoulders Share
             * @description Round shoulders and arms, as a share of the chest.
             * @default 1.17
             */
            shoulders_share: number;
            /**
             * Passing Gives
             * @description What a body gives as it passes through.
             * @default 0.03
             */
            passing_gives: number;
            /**
             * Widest Opening Mm
             * @description A back does not open wider without unthreading.
             * @default 450
             */
            widest_opening_mm: number;
            /**
             * Busk Least Sewn Mm
             * @description A shorter piece of seam does not hold.
             * @default 6
             */
            busk_least_sewn_mm: number;
            /**
             * Loop Pair Mm
             * @description The pull-loop pair straddles the waist by this.
             * @default 12
             */
            loop_pair_mm: number;
            /**
             * Waist Rows Mm
             * @description So far from the waist rows may lie closer.
             * @default 70
             */
            waist_rows_mm: number;
            /**
             * Lace Play Mm
             * @description A lace needs this much play in its hole.
             * @default 0.5
             */
            lace_play_mm: number;
            /**
             * Ribbon Holds N
             * @description A narrow ribbon wears through above this pull on a row.
             * @default 3
             */
            ribbon_holds_n: number;
            /**
             * Row Margin Mm
             * @description Last row to the finished edge: 15 to 25.
             * @default 20
             */
            row_margin_mm: number;
            /**
             * Row Pitch Mm
             * @description Usual; closer if the pull is hard, wider on light work.
             * @default 26
             */
            row_pitch_mm: number;
            /**
             * Flange Clear Mm
             * @description Bare cloth on both sides of a flange, so that it never sits on a bone.
             * @default 2
             */
            flange_clear_mm: number;
            /**
             * Edge Stitch Mm
             * @description From the fold to the first line of stitching.
             * @default 2
             */
            edge_stitch_mm: number;
            /**
             * Row Pitch Light Mm
             * @description Light work: the lace only keeps it shut.
             * @default 34
             */
            row_pitch_light_mm: number;
            /**
             * Row Pitch Hard Mm
             * @description A hard pull is shared by more holes.
             * @default 22
             */
            row_pitch_hard_mm: number;
            /**
             * Light Rows N Per M
             * @description Below this pull rows lie wider.
             * @default 70
             */
            light_rows_n_per_m: number;
            /**
             * Hard Rows N Per M
             * @description Above this pull rows lie closer.
             * @default 260
             */
            hard_rows_n_per_m: number;
            /**
             * Hole Clear Mm
             * @description Cloth between two flanges, or it frays from hole to hole.
             * @default 3
             */
            hole_clear_mm: number;
            /**
             * Modesty Short Mm
             * @description It stays out of sight at top line and hem.
             * @default 10
             */
            modesty_short_mm: number;
            /**
             * Modesty Margin Mm
             * @description Its bones end this far from its edges.
             * @default 10
             */
            modesty_margin_mm: number;
            /**
             * Tape Turning Mm
             * @description To turn under at both ends of a waist tape.
             * @default 20
             */
            tape_turning_mm: number;
            /**
             * Lace Loop Mm
             * @description A pull loop one hand can wrap and draw.
             * @default 450
             */
            lace_loop_mm: number;
            /**
             * Lace Tail Mm
             * @description To knot at each end.
             * @default 150
             */
            lace_tail_mm: number;
            /**
             * Getting In Ease Mm
             * @description To fasten a busk the garment must hang loose by this.
             * @default 40
             */
            getting_in_ease_mm: number;
            /**
             * Modesty Least Mm
             * @description Under less than this an edge rides off the panel as she moves.
             * @default 15
             */
            modesty_least_mm: number;
            /**
             * Modesty Overlap Mm
             * @description The panel reaches this far under each edge.
             * @default 30
             */
            modesty_overlap_mm: number;
        };
        /**
         * Proposal
         * @description The next pattern version: what changes, by seam and level, and how it would settle.
         *
         *     `lines` are that change in the maker's hands; `left_mm` by level is what of the wanted girth the seams could not
         *     take in one version; `by_hand` tells that some line is not as it was worked out.
         */
        Proposal: {
            reason: components["schemas"]["Message"];
            /** Fitting */
            fitting: number | null;
            /** Redraft */
            redraft: boolean;
            pattern: components["schemas"]["Pattern"];
            alteration: components["schemas"]["Alteration"] | null;
            /** Marks */
            marks: components["schemas"]["SeamMark"][];
            /** Lines */
            lines: components["schemas"]["ProposedLine"][];
            /** Left Mm */
            left_mm: {
                [key: string]: number | undefined;
            };
            /** By Hand */
            by_hand: boolean;
            next_mock_up: components["schemas"]["Foreseen"] | null;
            /** Sewn Change Mm */
            sewn_change_mm: {
                [key: string]: number | undefined;
            };
            /** Edges Change */
            edges_change: boolean;
            /** Panels */
            panels: components["schemas"]["LaidPanel"][];
            mock_up: components["schemas"]["Fit"];
            final: components["schemas"]["Fit"];
        };
        /**
         * ProposedLine
         * @description One seam at a level or a place of a proposed change, as it will be made, and as it was worked out.
         *
         *     mm at each panel edge, + lets out. A place runs from `low_mm` to `high_mm` about its peak, `z_mm`, and is `seen` at
         *     a fitting or set by hand; a level has neither.
         */
        ProposedLine: {
            /** Seam */
            seam: number;
            /** Label */
            label: string;
            /** Level */
            level: ("upper_neck" | "neck_base" | "collarbone" | "high_bust" | "bust" | "underbust" | "ribs" | "waist" | "high_hip" | "hip") | null;
            /** Z Mm */
            z_mm: number;
            /** Cf Side Mm */
            cf_side_mm: number;
            /** Cb Side Mm */
            cb_side_mm: number;
            /** Worked Out Cf Mm */
            worked_out_cf_mm: number;
            /** Worked Out Cb Mm */
            worked_out_cb_mm: number;
            /** By Hand */
            by_hand: boolean;
            /**
             * Half
             * @default both
             * @enum {string}
             */
            half: "both" | "right" | "left";
            /** Low Mm */
            low_mm: number | null;
            /** High Mm */
            high_mm: number | null;
            /**
             * Runs Out
             * @default []
             */
            runs_out: ("hem" | "top")[];
            /** Seen */
            seen: ("pinned" | "slashed" | "stood off" | "by hand") | null;
            /** Fitting */
            fitting: number | null;
        };
        /**
         * Purchase
         * @description Where something can be bought: in how many packs, at what price, and when it would surely be here.
         */
        Purchase: {
            offer: components["schemas"]["Offer"];
            /** Packs */
            packs: number;
            /** Price */
            price: number;
            /**
             * Here On
             * Format: date
             */
            here_on: string;
            /** In Time */
            in_time: boolean;
        };
        /**
         * PutEntry
         * @description An entry of the log, as written.
         */
        PutEntry: {
            /** Revision */
            revision: number;
            entry: components["schemas"]["WrittenLogEntry"];
        };
        /**
         * PutOnShelf
         * @description Pieces to put on the shelf, as written.
         */
        PutOnShelf: {
            /** Revision */
            revision?: number | null;
            /** Pieces */
            pieces: components["schemas"]["WrittenStock"][];
        };
        /**
         * PutOwn
         * @description A step of her own, as written; with a `key` another version of that one.
         */
        PutOwn: {
            /** Revision */
            revision: number;
            own: components["schemas"]["WrittenOwnStep"];
        };
        /**
         * PutPly
         * @description A ply to put in: what it does.
         */
        PutPly: {
            /** Revision */
            revision: number;
            /**
             * Role
             * @enum {string}
             */
            role: "lining" | "strength" | "interlining" | "fashion" | "overlay";
        };
        /**
         * PutTrim
         * @description A trim of a group, as written; with a `key` another version of that one.
         */
        PutTrim: {
            /** Revision */
            revision: number;
            /** Trim */
            trim: {
                [key: string]: unknown;
            };
        };
        /**
         * Raise
         * @description One way to better odds, and what they would come to.
         */
        Raise: {
            /**
             * What
             * @enum {string}
             */
            what: "a reading" | "one more mock-up" | "a stiffer mock-up" | "stiffer edges";
            /** Level */
            level: ("upper_neck" | "neck_base" | "collarbone" | "high_bust" | "bust" | "underbust" | "ribs" | "waist" | "high_hip" | "hip") | null;
            /** Probability */
            probability: number;
            sentence: components["schemas"]["Message"];
        };
        /**
         * Rate
         * @description Minutes for one unit of a kind of work: the mean, the spread of the logarithm, and from how many entries.
         *
         *     `per` is what a unit is, `usual_min` the shop's number.
         */
        Rate: {
            /**
             * Work
             * @enum {string}
             */
            work: "cut a ply" | "mark" | "baste by machine" | "baste by hand" | "fuse" | "sew a seam" | "sew a curved seam" | "press a seam" | "topstitch a seam" | "sandwich seam" | "grade a seam" | "channel stitching" | "inside tape" | "outside tape" | "facing" | "binding on" | "binding by hand" | "binding in the ditch" | "floating lining" | "cut a flat bone" | "cut a spiral bone" | "cut a synthetic bone" | "dip a coat" | "bone in" | "busk" | "separating zip" | "hidden zip" | "hooks by hand" | "hooks by tape" | "grommet" | "worked eyelet" | "tape loop" | "waist tape" | "modesty panel" | "modesty bone" | "flap" | "slashed gusset" | "gusset in a seam" | "dart" | "cup" | "lace new" | "shoulder piece" | "mock-up" | "fitting" | "gather and sew on" | "flossing" | "beads along a line" | "bead by itself" | "light embroidery" | "dense embroidery" | "lace motif" | "trim by hand" | "trim by machine" | "hem rolled" | "hem by hand" | "loop for a trim" | "strap" | "cut a pad" | "shape a pad" | "cover a pad";
            /** Per */
            per: string;
            /** Minutes */
            minutes: number;
            /** Usual Min */
            usual_min: number;
            /** Spread Ln */
            spread_ln: number;
            /** Entries */
            entries: number;
        };
        /**
         * Readiness
         * @description The odds that the real garment passes, what fails most, where, what to do, and what would raise them.
         */
        Readiness: {
            /** Probability */
            probability: number;
            /** Draws */
            draws: number;
            /** Fails */
            fails: {
                [key: string]: number | undefined;
            };
            /** Worst */
            worst: ("mean gap" | "tilt" | "bow" | "stand-off" | "pressure" | "closing" | "top edge" | "bottom edge") | null;
            /** Worst Level */
            worst_level: ("upper_neck" | "neck_base" | "collarbone" | "high_bust" | "bust" | "underbust" | "ribs" | "waist" | "high_hip" | "hip") | null;
            /**
             * Advice
             * @enum {string}
             */
            advice: "cut the cloth" | "one more mock-up" | "look again";
            sentence: components["schemas"]["Message"];
            /** Gap Low Mm */
            gap_low_mm: number[];
            /** Gap High Mm */
            gap_high_mm: number[];
            /**
             * Raises
             * @default []
             */
            raises: components["schemas"]["Raise"][];
        };
        /**
         * ReadingExpected
         * @description A gap as read, as the model expects it after learning, and by how many spreads it stands apart.
         *
         *     It stands apart by what it is off beside the others of its lacing: readings that agree contradict none.
         */
        ReadingExpected: {
            /** Fitting */
            fitting: number;
            /** Z Mm */
            z_mm: number;
            /** Read Mm */
            read_mm: number;
            /** Expected Mm */
            expected_mm: number;
            /** Spreads Off */
            spreads_off: number;
        };
        /**
         * RecordChoices
         * @description The card in her own words: `finished_on` None while it is not done.
         */
        RecordChoices: {
            /** Finished On */
            finished_on: string | null;
            /**
             * Likes
             * @default []
             */
            likes: string[];
            /**
             * Would Change
             * @default []
             */
            would_change: string[];
            /**
             * Wears
             * @default []
             */
            wears: components["schemas"]["Wear"][];
            /**
             * Photos
             * @default []
             */
            photos: components["schemas"]["GarmentPhoto"][];
        };
        /**
         * Refitting
         * @description The build whose pattern is to be refitted.
         */
        Refitting: {
            /** Revision */
            revision: number;
            /** Source */
            source: string;
        };
        /**
         * Remeasured
         * @description What another measuring would change, from the top down.
         */
        Remeasured: {
            /** Measuring Id */
            measuring_id: string;
            /**
             * Taken On
             * Format: date
             */
            taken_on: string;
            /** Body */
            body: components["schemas"]["LevelMoved"][];
            /** Sewn */
            sewn: components["schemas"]["LevelMoved"][];
        };
        /**
         * Reorder
         * @description The steps in her own order; none: as usual.
         */
        Reorder: {
            /** Revision */
            revision: number;
            /** Order */
            order: string[];
        };
        /**
         * RepeatPlan
         * @description What a repeat asks of a ply: where it meets across its seams, and how much each piece costs more, mm.
         */
        RepeatPlan: {
            /** Along Mm */
            along_mm: number;
            /** Across Mm */
            across_mm: number;
            /** Seams */
            seams: components["schemas"]["Matched"][];
        };
        /**
         * Reservation
         * @description So much of what lies on the shelf is kept for a build: mm of what is taken by length, else pieces.
         */
        Reservation: {
            /**
             * Stock
             * @description A piece on the shelf.
             */
            stock: string;
            /**
             * Build
             * @description A build of the workshop.
             */
            build: string;
            /** Amount */
            amount: number;
        };
        /**
         * Reserve
         * @description So much of a piece for a build: text or mm, or a number of pieces; None all that is free, 0 none.
         */
        Reserve: {
            /** Revision */
            revision?: number | null;
            /**
             * Build
             * @description A build of the workshop.
             */
            build: string;
            /** Amount */
            amount?: string | number | null;
        };
        /**
         * ReserveAll
         * @description Everything that a build uses of the shelf, by number, each with how much.
         */
        ReserveAll: {
            /** Amounts */
            amounts: {
                [key: string]: number | undefined;
            };
        };
        /**
         * RestingBuild
         * @description A build that rests on a measuring; `newest` if there is none newer.
         */
        RestingBuild: {
            /** Id */
            id: string;
            /** Name */
            name: string;
            /**
             * Taken On
             * Format: date
             */
            taken_on: string;
            /** Newest */
            newest: boolean;
        };
        /**
         * Restoring
         * @description An earlier revision to bring back.
         */
        Restoring: {
            /** Revision */
            revision: number;
            /** To */
            to: number;
        };
        /**
         * ReusedBone
         * @description What becomes of a channel's bone: it stays, one from another channel comes in, one is cut down, or it is new.
         *
         *     `half` is named where the halves differ, else there is one for each; `from_channel` (and `from_half`) is where the
         *     bone was cut for; `had_mm` how long it is.
         */
        ReusedBone: {
            /** Channel */
            channel: string;
            /** Half */
            half: ("right" | "left") | null;
            /** Kind Label */
            kind_label: string;
            /** Length Mm */
            length_mm: number;
            /**
             * What
             * @enum {string}
             */
            what: "stays" | "moves here" | "cut down" | "new";
            /** From Channel */
            from_channel: string | null;
            /** From Half */
            from_half: ("right" | "left") | null;
            /** Had Mm */
            had_mm: number | null;
        };
        /**
         * RewritePiece
         * @description A piece of the shelf written anew: what is given.
         */
        RewritePiece: {
            /** Revision */
            revision?: number | null;
            piece: components["schemas"]["WrittenStock"];
        };
        /**
         * RoomCode
         * @description A code that lets one device in: as text, as the address with it, as a QR code in SVG, and until when.
         */
        RoomCode: {
            /** Code */
            code: string;
            /** Url */
            url: string;
            /** Qr */
            qr: string;
            /**
             * Until
             * Format: date-time
             */
            until: string;
        };
        /**
         * RoomState
         * @description Whether the room is open, where devices find it, how its certificate is known, and who is let in.
         *
         *     `certificate_anew`: the one before was damaged, so that devices will ask once more whether to trust it.
         */
        RoomState: {
            /** Open */
            open: boolean;
            /** Urls */
            urls: string[];
            /** Fingerprint */
            fingerprint: string;
            /** Certificate Anew */
            certificate_anew: boolean;
            /** Devices */
            devices: components["schemas"]["Device"][];
        };
        /**
         * RoundStiffness
         * @description Σ EI flat-wise of the bones per metre of girth, N·m: in front, at the sides and behind.
         */
        RoundStiffness: {
            /** Front */
            front: number;
            /** Side */
            side: number;
            /** Back */
            back: number;
        };
        /**
         * Row
         * @description One row of holes: its height, how far up and down it holds the edge, and what that comes to in newtons.
         */
        Row: {
            /** Z Mm */
            z_mm: number;
            /** Holds Up Mm */
            holds_up_mm: number;
            /** Carries N */
            carries_n: number;
        };
        /**
         * Running
         * @description The step whose clock runs, and since when by the clock of the workshop.
         */
        Running: {
            /**
             * Step
             * @description What a step is known by.
             */
            step: string;
            /**
             * Since
             * Format: date-time
             */
            since: string;
        };
        /**
         * SaidAt
         * @description An answer in words at a level: how it sat there.
         */
        SaidAt: {
            /**
             * Level
             * @enum {string}
             */
            level: "upper_neck" | "neck_base" | "collarbone" | "high_bust" | "bust" | "underbust" | "ribs" | "waist" | "high_hip" | "hip";
            /**
             * Word
             * @enum {string}
             */
            word: "digs" | "firm" | "right" | "light" | "stands off";
        };
        /**
         * Schedule
         * @description Every job when it is done. `bound_share`: how much shorter it might still be, as a share; 0 is proven best.
         */
        Schedule: {
            /** Slots */
            slots: components["schemas"]["Slot"][];
            /** Ends */
            ends: components["schemas"]["BuildEnd"][];
            /** Bound Share */
            bound_share: number;
        };
        /**
         * SchoolEffect
         * @description What one way to bone the garment does: how the gap bows, how stiff, heavy, dear and slow it is.
         *
         *     `chosen`: the build is boned so. `changes` make it so.
         */
        SchoolEffect: {
            /** Name */
            name: string;
            /** Why */
            why: string;
            /** Chosen */
            chosen: boolean;
            /** Bow Mm */
            bow_mm: number;
            /** Edge N M2 */
            edge_n_m2: number;
            boning: components["schemas"]["Boning"];
            /** Changes */
            changes: components["schemas"]["Change-Output"][];
        };
        /**
         * SchoolThere
         * @description A school of boning: how many of its bones the shelf gives, of how many; and what chooses it.
         */
        SchoolThere: {
            /** Name */
            name: string;
            /** There */
            there: number;
            /** Of */
            of: number;
            /** Chosen */
            chosen: boolean;
            /** Changes */
            changes: components["schemas"]["Change-Output"][];
        };
        /**
         * ScrapPhoto
         * @description Marks on a photo of a scrap, in pixels from its top left; see `scraps.outline_from_photo`.
         */
        ScrapPhoto: {
            /** Scale */
            scale: [
                number,
                number
            ][];
            /** Known Mm */
            known_mm?: string | number | null;
            /** Known High Mm */
            known_high_mm?: string | number | null;
            /** Outline */
            outline: [
                number,
                number
            ][];
            /** Grain */
            grain: [
                number,
                number
            ][];
            /** Flaws */
            flaws?: [
                number,
                number
            ][][];
        };
        /**
         * ScrapRead
         * @description A scrap as its photo gives it: outline and flaws in mm, grain along x; how long and wide, and its area.
         */
        ScrapRead: {
            /** Outline */
            outline: [
                number,
                number
            ][];
            /** Flaws */
            flaws: [
                number,
                number
            ][][];
            /** Long Mm */
            long_mm: number;
            /** Wide Mm */
            wide_mm: number;
            /** Area Mm2 */
            area_mm2: number;
        };
        /**
         * SeamChange
         * @description What is done at one seam, by station from the lowest up, in mm; positive lets out, negative takes in.
         *
         *     `cf_side_mm` is added to the panel before the seam, `cb_side_mm` to the panel after it.
         */
        SeamChange: {
            /**
             * Seam
             * @description Seam k joins panels k and k + 1.
             */
            seam: number;
            /** Cf Side Mm */
            cf_side_mm: number[];
            /** Cb Side Mm */
            cb_side_mm: number[];
        };
        /**
         * SeamMark
         * @description What to mark on the paper at one seam and level, mm per panel edge; at a place, from where to where it runs.
         *
         *     Where it moves, one edge is let out (+) and the other taken in (−), by amounts with their signs.
         */
        SeamMark: {
            /** Seam */
            seam: string;
            /** Level */
            level: ("upper_neck" | "neck_base" | "collarbone" | "high_bust" | "bust" | "underbust" | "ribs" | "waist" | "high_hip" | "hip") | null;
            /** Z Mm */
            z_mm: number;
            /**
             * Kind
             * @enum {string}
             */
            kind: "take in" | "let out" | "move";
            /** Cf Side Mm */
            cf_side_mm: number;
            /** Cb Side Mm */
            cb_side_mm: number;
            /** Low Mm */
            low_mm: number | null;
            /** High Mm */
            high_mm: number | null;
            /**
             * Half
             * @default both
             * @enum {string}
             */
            half: "both" | "right" | "left";
        };
        /**
         * SeamShift
         * @description By how much a seam goes toward CB (+) at a level.
         */
        SeamShift: {
            /**
             * Level
             * @enum {string}
             */
            level: "upper_neck" | "neck_base" | "collarbone" | "high_bust" | "bust" | "underbust" | "ribs" | "waist" | "high_hip" | "hip";
            /** Amount Mm */
            amount_mm: number;
        };
        /**
         * SeamStrain
         * @description What an overlay needs over a seam: by how much the panels gape (+) or overlap (−) at the worst height, over what
         *     width, and that as a share.
         */
        SeamStrain: {
            /** Seam */
            seam: string;
            /** Z Mm */
            z_mm: number;
            /** Opening Mm */
            opening_mm: number;
            /** Over Mm */
            over_mm: number;
            /** Share */
            share: number;
        };
        /**
         * Section
         * @description A cut through the garment, to scale.
         */
        Section: {
            title: components["schemas"]["Message"];
            /** Width Mm */
            width_mm: number;
            /** Height Mm */
            height_mm: number;
            /** Parts */
            parts: components["schemas"]["SectionPart"][];
        };
        /**
         * SectionPart
         * @description A rectangle of a section: what it is, its left and its outer side, its size, mm.
         */
        SectionPart: {
            /**
             * What
             * @enum {string}
             */
            what: "overlay" | "fashion" | "interlining" | "strength" | "lining" | "tape" | "bone" | "flange" | "hole" | "stitch";
            /** Label */
            label: string;
            /** X Mm */
            x_mm: number;
            /** Y Mm */
            y_mm: number;
            /** Width Mm */
            width_mm: number;
            /** Height Mm */
            height_mm: number;
        };
        /**
         * SetAllowance
         * @description The allowance of one seam; None takes that of all seams again.
         */
        SetAllowance: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "allowance";
            /** Seam */
            seam: number;
            /** Allowance Mm */
            allowance_mm: number | null;
        };
        /**
         * SetFields
         * @description Fields to set, made on a revision. A length may be text in the maker's words.
         */
        SetFields: {
            /** Revision */
            revision: number;
            /** Changes */
            changes: components["schemas"]["Change-Input"][];
            /**
             * Label
             * @default
             */
            label?: string;
        };
        /**
         * SetLine
         * @description One line of the proposed change by hand; without amounts it goes back, without a seam all lines do.
         *
         *     It is at a level, or at the place of a line that has that peak, on that half.
         */
        SetLine: {
            /** Revision */
            revision: number;
            /** Seam */
            seam?: number | null;
            /** Level */
            level?: ("upper_neck" | "neck_base" | "collarbone" | "high_bust" | "bust" | "underbust" | "ribs" | "waist" | "high_hip" | "hip") | null;
            /** Half */
            half?: ("both" | "right" | "left") | null;
            /** Peak Mm */
            peak_mm?: number | null;
            /** Cf Side Mm */
            cf_side_mm?: string | number | null;
            /** Cb Side Mm */
            cb_side_mm?: string | number | null;
        };
        /**
         * SetWidth
         * @description Make a panel so wide at a level; the girth changes with it.
         */
        SetWidth: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "width";
            /** Panel */
            panel: number;
            /**
             * Level
             * @enum {string}
             */
            level: "upper_neck" | "neck_base" | "collarbone" | "high_bust" | "bust" | "underbust" | "ribs" | "waist" | "high_hip" | "hip";
            /** Width Mm */
            width_mm: number;
            /**
             * Side
             * @default both
             * @enum {string}
             */
            side: "both" | "right" | "left";
        };
        /**
         * ShapeLine
         * @description Give the top line or hem one of the usual shapes.
         */
        ShapeLine: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "line_shape";
            /**
             * End
             * @enum {string}
             */
            end: "top" | "hem";
            /**
             * Shape
             * @enum {string}
             */
            shape: "plain" | "sweetheart" | "scoop" | "point" | "swoop";
            /**
             * Bust Place
             * @description 0 at CF, 1 at the side, 2 at CB, by width between.
             * @default 0.5
             */
            bust_place: number;
        };
        /**
         * Shaped
         * @description A channel drawn through points of its panel, from the lowest up.
         */
        Shaped: {
            /** Panel */
            panel: number;
            /** Letter */
            letter: string;
            /** Points */
            points: components["schemas"]["Through"][];
        };
        /**
         * Sheet
         * @description Cloth to lay pieces on: its outline (closed, mm, x along its grain, tops toward larger x), and its flaws.
         */
        Sheet: {
            /** Key */
            key: string;
            /** Outline */
            outline: [
                number,
                number
            ][];
            /**
             * Flaws
             * @default []
             */
            flaws: [
                number,
                number
            ][][];
        };
        /**
         * Shopping
         * @description What is to be bought, over all builds, and what each build wants.
         */
        Shopping: {
            /** Lines */
            lines: components["schemas"]["ToBuy"][];
            /** Wants */
            wants: components["schemas"]["Want"][];
            /** Price */
            price: number;
        };
        /**
         * ShoppingSeen
         * @description The shopping list, the articles there are, and what the builds are called.
         */
        ShoppingSeen: {
            shopping: components["schemas"]["Shopping"];
            /** Builds */
            builds: components["schemas"]["Named"][];
            /**
             * Today
             * Format: date
             */
            today: string;
        };
        /**
         * Shuts
         * @description A place that a step shuts. `open_again_min`: minutes to open it there once more and shut it after, for each
         *     place of a later step that has to go in; None where only undoing the step opens it.
         */
        Shuts: {
            /**
             * Place
             * @description A part of the garment that a step has to reach.
             */
            place: string;
            /** Open Again Min */
            open_again_min: number | null;
        };
        /**
         * SideBySide
         * @description Two cards, line by line.
         */
        SideBySide: {
            /** First */
            first: string;
            /** Second */
            second: string;
            /** Lines */
            lines: components["schemas"]["CardDifference"][];
        };
        /**
         * SilhouetteLevel
         * @description Half width, and how far ahead and behind her middle she reaches, at a height above the zero line, mm.
         */
        SilhouetteLevel: {
            /** Y Mm */
            y_mm: number;
            /** Half Mm */
            half_mm: number;
            /** Front Mm */
            front_mm: number;
            /** Back Mm */
            back_mm: number;
        };
        /**
         * Silhouettes
         * @description Her outline from the lowest height up: bare, with her padding, and in the garment where there is one.
         */
        Silhouettes: {
            /** Bare */
            bare: components["schemas"]["SilhouetteLevel"][];
            /** Padded */
            padded: components["schemas"]["SilhouetteLevel"][];
            /**
             * Worn
             * @default []
             */
            worn: components["schemas"]["SilhouetteLevel"][];
            /** Heights Mm */
            heights_mm: {
                [key: string]: number | undefined;
            };
        };
        /**
         * Slot
         * @description A job on the schedule: from when to when, in minutes of work since the first day and by day.
         *
         *     `held_by` is what it could not begin before, and `after` which job that is.
         */
        Slot: {
            /** Build */
            build: string;
            /**
             * Key
             * @description What a step is known by.
             */
            key: string;
            /** Start Min */
            start_min: number;
            /** End Min */
            end_min: number;
            /**
             * Starts On
             * Format: date
             */
            starts_on: string;
            /**
             * Ends On
             * Format: date
             */
            ends_on: string;
            /**
             * Held By
             * @default start
             * @enum {string}
             */
            held_by: "start" | "step" | "wait" | "delivery" | "appointment" | "hands";
            /** After */
            after: [
                string,
                string
            ] | null;
            /**
             * Critical
             * @default false
             */
            critical: boolean;
        };
        /**
         * SpatialLine
         * @description A line on her: what it is, what it is called, and its points.
         */
        SpatialLine: {
            /** What */
            what: string;
            /**
             * Name
             * @default
             */
            name: string;
            /** Points */
            points: [
                number,
                number,
                number
            ][];
        };
        /**
         * SpatialSpots
         * @description Points on her that are alike: holes, or the pieces of a trim.
         */
        SpatialSpots: {
            /** What */
            what: string;
            /**
             * Name
             * @default
             */
            name: string;
            /** Wide Mm */
            wide_mm: number;
            /** Points */
            points: [
                number,
                number,
                number
            ][];
        };
        /**
         * SplitPanel
         * @description Add a panel: cut one in two, `across` of the way to its edge toward CB. Girths and edges stay.
         */
        SplitPanel: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "split";
            /** Panel */
            panel: number;
            /**
             * Across
             * @default 0.5
             */
            across: number;
        };
        /**
         * Spot
         * @description A place on the flat garment: the panel from CF, and the point on it as it lies, mm.
         */
        Spot: {
            /** Panel */
            panel: number;
            /** X Mm */
            x_mm: number;
            /** Z Mm */
            z_mm: number;
        };
        /**
         * Stack
         * @description A garment's cloth: strength ply, and the thickness of what lies outside it, inside it and under it.
         *
         *     `own` is the strength cloth itself where the catalogue that is shipped has no such one.
         */
        Stack: {
            /**
             * Strength
             * @description A cloth in the catalogue.
             * @default coutil
             */
            strength: string;
            own: components["schemas"]["Cloth"] | null;
            /**
             * Fashion Mm
             * @default 0.35
             */
            fashion_mm: number;
            /**
             * Lining Mm
             * @default 0.25
             */
            lining_mm: number;
            /**
             * Worn Under Mm
             * @default 0
             */
            worn_under_mm: number;
        };
        /**
         * Stand
         * @description A dress stand: its girths at the wearer's levels, and how far it reaches above and below its waist, mm.
         */
        Stand: {
            /**
             * Name
             * @default
             */
            name: string;
            /** High Bust Mm */
            high_bust_mm: number | null;
            /** Bust Mm */
            bust_mm: number | null;
            /** Underbust Mm */
            underbust_mm: number | null;
            /** Ribs Mm */
            ribs_mm: number | null;
            /** Waist Mm */
            waist_mm: number | null;
            /** High Hip Mm */
            high_hip_mm: number | null;
            /** Hip Mm */
            hip_mm: number | null;
            /** Above Waist Mm */
            above_waist_mm: number | null;
            /** Below Waist Mm */
            below_waist_mm: number | null;
        };
        /**
         * StandOff
         * @description How much stood off at a level (pinched out), or was missing (slashed open, below zero), in mm of girth.
         */
        StandOff: {
            /**
             * Level
             * @enum {string}
             */
            level: "upper_neck" | "neck_base" | "collarbone" | "high_bust" | "bust" | "underbust" | "ribs" | "waist" | "high_hip" | "hip";
            /** Off Mm */
            off_mm: number;
        };
        /**
         * Station
         * @description A height at which edges are given: at front, side and back. Those at a level of the body have its name.
         */
        Station: {
            /** Name */
            name: ("upper_neck" | "neck_base" | "collarbone" | "high_bust" | "bust" | "underbust" | "ribs" | "waist" | "high_hip" | "hip") | null;
            /** Front Mm */
            front_mm: number;
            /** Side Mm */
            side_mm: number;
            /** Back Mm */
            back_mm: number;
        };
        /**
         * Step
         * @description One step. `needs` are steps that have to be done before; `reaches` are the places that it must still get at, of
         *     each group one (a bone goes in from the top or from the hem); `shuts` are the places that nothing reaches after it.
         *
         *     `works` are kinds of work with how often; `waits_h` runs after it, by the clock. `through` counts how many places it
         *     goes in at, for what opening them again costs. `undo_min`: to undo it, by which no cloth is lost; None: it can't be.
         *     `optional`: why it may be left out; `later`: it can be done after the day without harm. `with_whom`: somebody has to
         *     be there.
         */
        Step: {
            /**
             * Key
             * @description What a step is known by.
             */
            key: string;
            name: components["schemas"]["Message"];
            /**
             * Stage
             * @enum {string}
             */
            stage: "brief" | "wearer" | "pattern" | "mockups" | "bones" | "front" | "back" | "layers" | "trims" | "cut" | "make" | "record";
            /**
             * Works
             * @default []
             */
            works: [
                "cut a ply" | "mark" | "baste by machine" | "baste by hand" | "fuse" | "sew a seam" | "sew a curved seam" | "press a seam" | "topstitch a seam" | "sandwich seam" | "grade a seam" | "channel stitching" | "inside tape" | "outside tape" | "facing" | "binding on" | "binding by hand" | "binding in the ditch" | "floating lining" | "cut a flat bone" | "cut a spiral bone" | "cut a synthetic bone" | "dip a coat" | "bone in" | "busk" | "separating zip" | "hidden zip" | "hooks by hand" | "hooks by tape" | "grommet" | "worked eyelet" | "tape loop" | "waist tape" | "modesty panel" | "modesty bone" | "flap" | "slashed gusset" | "gusset in a seam" | "dart" | "cup" | "lace new" | "shoulder piece" | "mock-up" | "fitting" | "gather and sew on" | "flossing" | "beads along a line" | "bead by itself" | "light embroidery" | "dense embroidery" | "lace motif" | "trim by hand" | "trim by machine" | "hem rolled" | "hem by hand" | "loop for a trim" | "strap" | "cut a pad" | "shape a pad" | "cover a pad",
                number
            ][];
            /**
             * Fixed Min
             * @default 0
             */
            fixed_min: number;
            /**
             * Waits H
             * @default 0
             */
            waits_h: number;
            why: components["schemas"]["Message"] | null;
            /**
             * Tools
             * @default []
             */
            tools: components["schemas"]["Message"][];
            /**
             * Materials
             * @default []
             */
            materials: components["schemas"]["Message"][];
            /**
             * Cautions
             * @default []
             */
            cautions: components["schemas"]["Message"][];
            /**
             * How
             * @default []
             */
            how: components["schemas"]["Message"][];
            /**
             * Needs
             * @default []
             */
            needs: string[];
            /**
             * Reaches
             * @default []
             */
            reaches: string[][];
            /**
             * Shuts
             * @default []
             */
            shuts: components["schemas"]["Shuts"][];
            /**
             * Through
             * @default 1
             */
            through: number;
            /** Undo Min */
            undo_min: number | null;
            optional: components["schemas"]["Message"] | null;
            /**
             * Later
             * @default false
             */
            later: boolean;
            /**
             * With Whom
             * @default herself
             * @enum {string}
             */
            with_whom: "herself" | "wearer" | "helper";
            /**
             * Waits For
             * @description Articles on order without which it can't begin.
             * @default []
             */
            waits_for: string[];
            /**
             * Own
             * @default false
             */
            own: boolean;
        };
        /**
         * StepSeen
         * @description A step as it stands. `lacks` are to be done before; `shut_by` is done and shuts it out, `back` are the ways to
         *     get it in after all. Of one that can be done: `shuts_out` are those that could not be after it. `usual_min` is what
         *     it takes by the shop's pace.
         */
        StepSeen: {
            step: components["schemas"]["Step"];
            /** Minutes */
            minutes: number;
            /** Usual Min */
            usual_min: number;
            /** Spread Ln */
            spread_ln: number;
            /** Done */
            done: boolean;
            /**
             * Elsewhere
             * @default false
             */
            elsewhere: boolean;
            /**
             * Possible
             * @default false
             */
            possible: boolean;
            /**
             * Allowed
             * @default false
             */
            allowed: boolean;
            /**
             * Lacks
             * @default []
             */
            lacks: string[];
            /**
             * Shut By
             * @default []
             */
            shut_by: string[];
            /**
             * Shuts Out
             * @default []
             */
            shuts_out: string[];
            /**
             * Back
             * @default []
             */
            back: components["schemas"]["WayBack"][];
            /**
             * Logged Min
             * @default 0
             */
            logged_min: number;
            /**
             * Undoing
             * @default []
             */
            undoing: string[];
            /** Undoing Min */
            undoing_min: number | null;
            appointment: components["schemas"]["Appointment"] | null;
        };
        /**
         * Stock
         * @description Pieces of one sort and size that lie on the shelf.
         *
         *     A cloth is as long along its grain as `length_mm` and as wide as `width_mm` between its selvedges, or has an
         *     `outline` (closed, mm, x along its grain, tops toward larger x) when it is a scrap; `flaws` are kept clear of. Bones
         *     are `count` pieces of `length_mm`, as a rest or a coil is one; `lot`: what came from one making.
         */
        Stock: {
            /**
             * Id
             * @description A piece on the shelf.
             */
            id: string;
            /**
             * Sort
             * @enum {string}
             */
            sort: "cloth" | "bone" | "busk" | "zip" | "grommets" | "lace" | "tape" | "hooks" | "ends" | "thread" | "trim";
            /**
             * Name
             * @description Of one sort, what it is.
             */
            name: string;
            /** Label */
            label: string;
            /**
             * Count
             * @default 1
             */
            count: number;
            /** Length Mm */
            length_mm: number | null;
            /** Width Mm */
            width_mm: number | null;
            /** Outline */
            outline: [
                number,
                number
            ][] | null;
            /**
             * Flaws
             * @default []
             */
            flaws: [
                number,
                number
            ][][];
            /**
             * Where
             * @default
             */
            where: string;
            /**
             * Lot
             * @default
             */
            lot: string;
            /**
             * Cost
             * @default 0
             */
            cost: number;
            /**
             * Note
             * @default
             */
            note: string;
        };
        /**
         * Stop
         * @description Where something may stop when what is at hand does not reach: mm from where the line begins, on both halves.
         *
         *     At the last `seam` that it reaches, at the side so that all is done that `shows` from the front, where it `runs
         *     out`, or all of it at a wider `pitch_mm`. `count` or `uses_mm` is what that takes.
         */
        Stop: {
            /**
             * How
             * @enum {string}
             */
            how: "seam" | "shows" | "runs out" | "wider";
            /**
             * Seam
             * @default
             */
            seam: string;
            /** At Mm */
            at_mm: number;
            /** Pitch Mm */
            pitch_mm: number | null;
            /** Count */
            count: number | null;
            /** Uses Mm */
            uses_mm: number;
        };
        /**
         * StopClock
         * @description The clock stopped: the minutes it really took, where that is not what it ran; `drop`: nothing is written down.
         */
        StopClock: {
            /** Revision */
            revision: number;
            /** Minutes */
            minutes?: string | number | null;
            /**
             * Note
             * @default
             */
            note?: string;
            /**
             * Mishap
             * @default
             */
            mishap?: string;
            /**
             * Done
             * @default false
             */
            done?: boolean;
            /**
             * Drop
             * @default false
             */
            drop?: boolean;
        };
        /**
         * Strap
         * @description A strap over the shoulder, or a band round the arm: from a point of the front edge to one of the back.
         *
         *     `front_mm` and `back_mm` run along the top line from CF and from CB. `over_mm` is what the tape says between both,
         *     over the shoulder; without it, the shoulder's place (from the middle, and above the waist) gives it.
         */
        Strap: {
            /** Key */
            key: string;
            /**
             * Name
             * @default strap
             */
            name: string;
            /**
             * Kind
             * @default strap
             * @enum {string}
             */
            kind: "strap" | "halter" | "off the shoulder";
            /**
             * Front Mm
             * @default 90
             */
            front_mm: number;
            /**
             * Back Mm
             * @default 80
             */
            back_mm: number;
            /** Over Mm */
            over_mm: number | null;
            /**
             * Shoulder Out Mm
             * @default 105
             */
            shoulder_out_mm: number;
            /** Shoulder Up Mm */
            shoulder_up_mm: number | null;
            /** Arm Mm */
            arm_mm: number | null;
            /**
             * Wide Mm
             * @default 25
             */
            wide_mm: number;
            /**
             * Ease Mm
             * @default 15
             */
            ease_mm: number;
            /**
             * Stretch Share
             * @default 0
             */
            stretch_share: number;
            /**
             * In Length Mm
             * @default 25
             */
            in_length_mm: number;
        };
        /**
         * StrapLaid
         * @description A strap of one side: finished length, cut length, and how far each end leans from upright, degrees.
         *
         *     `guessed`: the way over the shoulder follows from the shoulder's place, not from the tape. `arm_deg`: how high the
         *     arm can be raised before it pulls. `up_mm`: so high its way over the shoulder lies above the waist; None round the
         *     arm.
         */
        StrapLaid: {
            /** Finished Mm */
            finished_mm: number;
            /** Cut Mm */
            cut_mm: number;
            /** Front Deg */
            front_deg: number;
            /** Back Deg */
            back_deg: number;
            /** Guessed */
            guessed: boolean;
            /** Arm Deg */
            arm_deg: number;
            /** Eases Mm */
            eases_mm: number;
            /** Count */
            count: number;
            /** Up Mm */
            up_mm: number | null;
        };
        /**
         * StrapShown
         * @description A strap of each side.
         */
        StrapShown: {
            /** Key */
            key: string;
            /** Name */
            name: string;
            /**
             * Parts
             * @default []
             */
            parts: components["schemas"]["OnPanel"][];
            /**
             * Left Parts
             * @default []
             */
            left_parts: components["schemas"]["OnPanel"][];
            fault: components["schemas"]["Message"] | null;
            /** Fault At */
            fault_at: string | null;
            /**
             * Minutes
             * @default 0
             */
            minutes: number;
            laid: components["schemas"]["StrapLaid"] | null;
        };
        /**
         * Stretch
         * @description The widest stretch without a bone in a panel: how wide, at which height, and from where to where it is too wide.
         *
         *     `from_x_mm`, `to_x_mm` in the frame of the panel; they may lie beyond its edges, where a seam has no channel.
         */
        Stretch: {
            /** Panel */
            panel: number;
            /** Z Mm */
            z_mm: number;
            /** Wide Mm */
            wide_mm: number;
            /** From X Mm */
            from_x_mm: number;
            /** To X Mm */
            to_x_mm: number;
            /** Low Mm */
            low_mm: number;
            /** High Mm */
            high_mm: number;
        };
        /**
         * StripPlan
         * @description What is cut or bought by its length: how wide, how long in all, in how many lengths; of a `cloth` the strips.
         *
         *     None are told of a cloth that is too narrow for them.
         */
        StripPlan: {
            /**
             * What
             * @enum {string}
             */
            what: "binding, top" | "binding, hem" | "channel tape" | "waist tape" | "loops";
            /** Width Mm */
            width_mm: number;
            /** Lengths Mm */
            lengths_mm: number[];
            /** Length Mm */
            length_mm: number;
            /** Cloth */
            cloth: string | null;
            strips: components["schemas"]["Strips"] | null;
        };
        /**
         * StripTest
         * @description A strip of a cloth hung with a weight: how much longer a stretch marked on it became.
         */
        StripTest: {
            /**
             * Cloth
             * @description A cloth in the catalogue.
             */
            cloth: string;
            /**
             * Weight Kg
             * @default 1
             */
            weight_kg: number;
            /**
             * Width Mm
             * @default 50
             */
            width_mm: number;
            /**
             * Marked Mm
             * @default 200
             */
            marked_mm: number;
            /** Longer Mm */
            longer_mm: number;
        };
        /**
         * Strips
         * @description Strips cut from a width of cloth and joined to a length: how many, how long each, how much cloth they take.
         *
         *     On the bias `cloth_mm` is the length of the cloth whose slanting strips are cut; `joins` are on the slant.
         */
        Strips: {
            /** Width Mm */
            width_mm: number;
            /** Length Mm */
            length_mm: number;
            /** Count */
            count: number;
            /** Joins */
            joins: number;
            /** Cloth Mm */
            cloth_mm: number;
        };
        /**
         * TakeGain
         * @description A choice that saves time, to take: fields to set, and steps to leave out.
         */
        TakeGain: {
            /** Revision */
            revision: number;
            /**
             * Title
             * @default
             */
            title?: string;
            /** Changes */
            changes?: components["schemas"]["Change-Input"][];
            /** Leave Out */
            leave_out?: string[];
        };
        /**
         * TakeMeasures
         * @description Take a measuring from the book.
         */
        TakeMeasures: {
            /** Revision */
            revision: number;
            /** Measuring Id */
            measuring_id: string;
        };
        /**
         * TakePly
         * @description A ply to take out, by its place from the skin out.
         */
        TakePly: {
            /** Revision */
            revision: number;
            /** At */
            at: number;
        };
        /**
         * TakeTrim
         * @description A trim to take off, by its key.
         */
        TakeTrim: {
            /** Revision */
            revision: number;
            /** Key */
            key: string;
        };
        /**
         * TakeWay
         * @description A way out to take: fields to set and edits of the pattern, and how it is called.
         */
        TakeWay: {
            /** Revision */
            revision: number;
            /** Changes */
            changes?: components["schemas"]["Change-Input"][];
            /** Edits */
            edits?: (components["schemas"]["WrittenSetWidth"] | components["schemas"]["WrittenMoveSeam"] | components["schemas"]["WrittenLaySeam"] | components["schemas"]["WrittenTrimEdge"] | components["schemas"]["WrittenMovePoint"] | components["schemas"]["WrittenDropPoint"] | components["schemas"]["WrittenShapeLine"] | components["schemas"]["WrittenSplitPanel"] | components["schemas"]["WrittenDropSeam"] | components["schemas"]["WrittenAddGusset"] | components["schemas"]["WrittenAddDart"] | components["schemas"]["WrittenDropInsert"] | components["schemas"]["WrittenJoinSeam"] | components["schemas"]["WrittenSetAllowance"] | components["schemas"]["WrittenPartHalves"])[];
            /**
             * Label
             * @default
             */
            label?: string;
        };
        /**
         * Taken
         * @description So much of a piece of the shelf that a build uses, and whether it is reserved for it.
         */
        Taken: {
            /** Stock */
            stock: string;
            /** Label */
            label: string;
            /** Where */
            where: string;
            /** Amount */
            amount: number;
            /** Reserved */
            reserved: boolean;
        };
        /**
         * Tap
         * @description A place touched on the drawn wearer: what it does there, and by how much where that can be said.
         *
         *     `across` is from the left of her outline as drawn at that height (0) to its right (1), which is from CF to CB where
         *     she is seen from the side;
         *     `off_mm` is girth that stands off there. `half` tells what only one of her sides needs.
         */
        Tap: {
            /**
             * View
             * @enum {string}
             */
            view: "front" | "side" | "back";
            /** Z Mm */
            z_mm: number;
            /**
             * Across
             * @default 0.5
             */
            across: number;
            /**
             * Word
             * @enum {string}
             */
            word: "digs" | "firm" | "right" | "light" | "stands off";
            /** Off Mm */
            off_mm: number | null;
            /**
             * Half
             * @default both
             * @enum {string}
             */
            half: "both" | "right" | "left";
        };
        /**
         * TapeRun
         * @description Where the tape at the waist begins and ends on a half, mm from CF along the waist.
         */
        TapeRun: {
            /** From Cf Mm */
            from_cf_mm: number;
            /** To Cf Mm */
            to_cf_mm: number;
        };
        /**
         * Target
         * @description What the maker wants of the fit.
         */
        Target: {
            /**
             * Job
             * @default reduction_share
             * @enum {string}
             */
            job: "closed_waist" | "reduction" | "reduction_share" | "none";
            /** Closed Waist Mm */
            closed_waist_mm: number | null;
            /** Reduction Mm */
            reduction_mm: number | null;
            /**
             * Reduction Percent
             * @default 8
             */
            reduction_percent: number;
            /**
             * Gap Mm
             * @default 50
             */
            gap_mm: number;
            /**
             * Pull
             * @default close
             * @enum {string}
             */
            pull: "light" | "close" | "firm";
            /**
             * Shares
             * @description Tension at a level as a share of the waist's, where it was pulled by hand; else house numbers.
             */
            shares: {
                [key: string]: number | undefined;
            };
            /**
             * Ease At
             * @description Room at a level of bust or hip as a number, worn; below zero it is squeezed by so much.
             */
            ease_at: {
                [key: string]: number | undefined;
            };
            /**
             * Ease Mm
             * @description Room inside a collar; None takes the house number.
             */
            ease_mm: number | null;
        };
        /**
         * Taught
         * @description What earlier fittings taught of a level: its girth and spread (mm), and how far it gives.
         */
        Taught: {
            /**
             * Name
             * @enum {string}
             */
            name: "upper_neck" | "neck_base" | "collarbone" | "high_bust" | "bust" | "underbust" | "ribs" | "waist" | "high_hip" | "hip";
            /** Girth Mm */
            girth_mm: number;
            /** Spread Mm */
            spread_mm: number;
            /** Give */
            give: number;
        };
        /**
         * Thick
         * @description How thick cloth gets in a place, plies and mm, of the most that a tool takes there.
         */
        Thick: {
            /** Plies */
            plies: number;
            /** Mm */
            mm: number;
            /** Most Mm */
            most_mm: number;
        };
        /**
         * Thread
         * @description All stages, and what to do next, where.
         */
        Thread: {
            /** Knots */
            knots: components["schemas"]["Knot"][];
            /**
             * Next Stage
             * @enum {string}
             */
            next_stage: "brief" | "wearer" | "pattern" | "mockups" | "bones" | "front" | "back" | "layers" | "trims" | "cut" | "make" | "record";
            next_step: components["schemas"]["Message"];
        };
        /**
         * Through
         * @description A point that a shaped channel goes through.
         */
        Through: {
            /** Across */
            across: number;
            /** Z Mm */
            z_mm: number;
        };
        /**
         * Tier
         * @description A tier of a frill or skirt: how deep it is when it hangs, and how much fuller than what it is sewn to.
         */
        Tier: {
            /** Depth Mm */
            depth_mm: number;
            /**
             * Fullness
             * @default 2
             */
            fullness: number;
        };
        /**
         * TierCut
         * @description A tier as it is cut: strips `high_mm` by `strip_mm`, how many, and their length joined.
         *
         *     `along_mm` is what it is gathered onto, `joined_mm` what it is before that, seams taken off; `cloth_mm` the length
         *     of cloth that its strips take. `skimpy`: less than half as full again.
         */
        TierCut: {
            /** Depth Mm */
            depth_mm: number;
            /** Fullness */
            fullness: number;
            /** Along Mm */
            along_mm: number;
            /** Joined Mm */
            joined_mm: number;
            /** High Mm */
            high_mm: number;
            /** Strip Mm */
            strip_mm: number;
            /** Strips */
            strips: number;
            /** Joins */
            joins: number;
            /** Cloth Mm */
            cloth_mm: number;
            /** Skimpy */
            skimpy: boolean;
        };
        /**
         * ToBuy
         * @description One line of the list: an article for one or several builds, the day it has to be ordered by, and where.
         *
         *     `chosen` is the place among the `choices`: the cheapest that is in time, else the quickest. `instead` is what
         *     could take its place, where nobody has it in time. `before`: builds that are needed first and get what of it
         *     lies free on the shelf.
         */
        ToBuy: {
            article: components["schemas"]["Article"];
            /** Each Mm */
            each_mm: number | null;
            /** Width Mm */
            width_mm: number | null;
            /** Amount */
            amount: number;
            /** Spares */
            spares: number;
            /** Builds */
            builds: string[];
            /** Needed On */
            needed_on: string | null;
            /** Order By */
            order_by: string | null;
            /** Choices */
            choices: components["schemas"]["Purchase"][];
            /** Chosen */
            chosen: number | null;
            /**
             * Instead
             * @default []
             */
            instead: string[];
            /**
             * Before
             * @default []
             */
            before: string[];
        };
        /**
         * TopWish
         * @description Heights of the top line above the zero line, and its shape; None takes the suggestion.
         */
        TopWish: {
            /** Cf Mm */
            cf_mm: number | null;
            /** Side Mm */
            side_mm: number | null;
            /** Cb Mm */
            cb_mm: number | null;
            /**
             * Shape
             * @default plain
             * @enum {string}
             */
            shape: "plain" | "sweetheart" | "scoop" | "point" | "swoop";
        };
        /**
         * Traced
         * @description Traced pieces to keep, and the name of their drawing.
         */
        Traced: {
            /** Revision */
            revision: number;
            traced: components["schemas"]["TracedPattern"];
            /**
             * Name
             * @default
             */
            name?: string;
        };
        /**
         * TracedAnswer
         * @description What is odd about traced pieces, where their corners lie on the drawing, and the girths they make.
         */
        TracedAnswer: {
            /** Misfits */
            misfits: components["schemas"]["Misfit"][];
            /** Corners */
            corners: {
                [key: string]: [
                    number,
                    number
                ][] | undefined;
            };
            /** Sewn Mm */
            sewn_mm: {
                [key: string]: number | undefined;
            };
        };
        /**
         * TracedPattern
         * @description Every piece of a half as named, and how many of them lie in front of the side seam.
         */
        TracedPattern: {
            /** Pieces */
            pieces: components["schemas"]["TracedPiece"][];
            /** Front Panels */
            front_panels: number;
        };
        /**
         * TracedPiece
         * @description A closed outline as drawn (mm, y up), the panel it is, its waistline, and how it is turned.
         */
        TracedPiece: {
            /** Points */
            points: [
                number,
                number
            ][];
            /** Number */
            number: number;
            /** Waist Mm */
            waist_mm?: number | null;
            /**
             * Mirrored
             * @default false
             */
            mirrored?: boolean;
            /**
             * Upside Down
             * @default false
             */
            upside_down?: boolean;
            /**
             * Corners
             * @description Where its edges meet, as drawn: hem at CF, top at CF, top at CB, hem at CB. None finds them.
             */
            corners?: [
                number,
                number
            ][] | null;
        };
        /**
         * Trial
         * @description Fields to set without keeping them, to see what would follow.
         */
        Trial: {
            /** Changes */
            changes: components["schemas"]["Change-Input"][];
        };
        /**
         * Tried
         * @description A mock-up that was tried on: of which version, the mean gap read, and what she wrote.
         */
        Tried: {
            /** Version */
            version: number;
            /** Gap Mm */
            gap_mm: number | null;
            /** Note */
            note: string;
            /** Hours */
            hours: number | null;
            /** Cost */
            cost: number | null;
        };
        /**
         * TrimChoices
         * @description Everything that is put onto the garment and hangs from it.
         */
        TrimChoices: {
            /**
             * Along
             * @default []
             */
            along: components["schemas"]["Along"][];
            /**
             * Areas
             * @default []
             */
            areas: components["schemas"]["Area"][];
            /**
             * Flossing
             * @default []
             */
            flossing: components["schemas"]["Flossing"][];
            /**
             * Hanging
             * @default []
             */
            hanging: components["schemas"]["Hanging"][];
            /**
             * Straps
             * @default []
             */
            straps: components["schemas"]["Strap"][];
            /**
             * Chains
             * @default []
             */
            chains: components["schemas"]["Chain"][];
            /**
             * Waist Stay
             * @description A tape inside, hooked round the waist, that bears the weight.
             * @default false
             */
            waist_stay: boolean;
        };
        /**
         * TrimEdge
         * @description Cut so much off CB (or CF) on each half, all along it (+), or leave so much on (−); another amount at the hem.
         *
         *     The edge stays straight: between top line and hem the amount runs evenly from one to the other.
         */
        TrimEdge: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "trim";
            /**
             * Edge
             * @default CB
             * @enum {string}
             */
            edge: "CB" | "CF";
            /** Amount Mm */
            amount_mm: number;
            /** Hem Mm */
            hem_mm: number | null;
            /**
             * Side
             * @default both
             * @enum {string}
             */
            side: "both" | "right" | "left";
        };
        /**
         * TrimLine
         * @description A line on the garment: an edge, the waist, a seam (0 is CF, the last CB), a channel, or drawn through spots.
         *
         *     Edges and the waist run from CF back, seams and channels from the top down. `in_mm` is how far inside an edge it
         *     lies; `begins_mm` and `ends_mm` what of its length is meant, from where it begins; None is all of it.
         */
        TrimLine: {
            /**
             * On
             * @default top line
             * @enum {string}
             */
            on: "top line" | "hem" | "waist" | "seam" | "channel" | "drawn";
            /** Seam */
            seam: number | null;
            /** Channel */
            channel: string | null;
            /**
             * Spots
             * @default []
             */
            spots: components["schemas"]["Spot"][];
            /**
             * Half
             * @default both
             * @enum {string}
             */
            half: "both" | "right" | "left";
            /**
             * In Mm
             * @default 0
             */
            in_mm: number;
            /** Begins Mm */
            begins_mm: number | null;
            /** Ends Mm */
            ends_mm: number | null;
        };
        /**
         * TrimMark
         * @description A trim line marked on a picture: where it would lie on the garment, or why it can't be told.
         */
        TrimMark: {
            /** Picture */
            picture: string;
            /** Picture Name */
            picture_name: string;
            /** Number */
            number: number;
            /**
             * Spots
             * @default []
             */
            spots: components["schemas"]["Spot"][];
            fault: components["schemas"]["Message"] | null;
        };
        /**
         * TrimMarks
         * @description Trim lines that are marked on the brief's pictures, as they would lie on the garment.
         */
        TrimMarks: {
            /** Marks */
            marks: components["schemas"]["TrimMark"][];
        };
        /**
         * TrimsPlan
         * @description All trims as they are planned. Grams and prices of both halves; `works` all that they take.
         *
         *     `load` is all that weighs on the garment, itself included, against what holds it; None where nothing hangs on it.
         */
        TrimsPlan: {
            /**
             * Along
             * @default []
             */
            along: components["schemas"]["AlongShown"][];
            /**
             * Areas
             * @default []
             */
            areas: components["schemas"]["AreaShown"][];
            /**
             * Flossing
             * @default []
             */
            flossing: components["schemas"]["FlossingShown"][];
            /**
             * Hanging
             * @default []
             */
            hanging: components["schemas"]["HangingShown"][];
            /**
             * Straps
             * @default []
             */
            straps: components["schemas"]["StrapShown"][];
            /**
             * Chains
             * @default []
             */
            chains: components["schemas"]["ChainShown"][];
            /**
             * Rooms
             * @default []
             */
            rooms: components["schemas"]["PanelRoom"][];
            /**
             * Grams
             * @default 0
             */
            grams: number;
            /**
             * Hanging Grams
             * @default 0
             */
            hanging_grams: number;
            /**
             * Price
             * @default 0
             */
            price: number;
            /**
             * Minutes
             * @default 0
             */
            minutes: number;
            /**
             * Thread Mm
             * @default 0
             */
            thread_mm: number;
            /** Works */
            works: {
                [key: string]: number | undefined;
            };
            load: components["schemas"]["Load"] | null;
            /**
             * Helps
             * @default []
             */
            helps: components["schemas"]["Helps"][];
        };
        /**
         * Trouble
         * @description The one shape of every error: a sentence, faults at their fields, what changed since, a log number.
         */
        Trouble: {
            /** Sentence */
            sentence: string;
            /** Faults */
            faults: components["schemas"]["Fault"][];
            /** Changed */
            changed: string[];
            /**
             * Log
             * @description Where the log tells more of something unexpected.
             */
            log: string | null;
        };
        /**
         * TrueLevel
         * @description A girth as the tape had it, as it was believed, and as it was, mm.
         */
        TrueLevel: {
            /**
             * Name
             * @enum {string}
             */
            name: "upper_neck" | "neck_base" | "collarbone" | "high_bust" | "bust" | "underbust" | "ribs" | "waist" | "high_hip" | "hip";
            /** Taped Mm */
            taped_mm: number;
            /** Believed Mm */
            believed_mm: number;
            /** True Mm */
            true_mm: number;
        };
        /**
         * TruedSeam
         * @description A seam between two panels: the length of its sides before and after, and where the difference went.
         */
        TruedSeam: {
            /** Seam */
            seam: string;
            /** Cf Side Before Mm */
            cf_side_before_mm: number;
            /** Cb Side Before Mm */
            cb_side_before_mm: number;
            /** Cf Side Mm */
            cf_side_mm: number;
            /** Cb Side Mm */
            cb_side_mm: number;
            /** Put In Top Mm */
            put_in_top_mm: number;
            /** Put In Hem Mm */
            put_in_hem_mm: number;
        };
        /**
         * TypedIn
         * @description A pattern typed in by its widths.
         */
        TypedIn: {
            /** Revision */
            revision: number;
            /** Levels */
            levels: components["schemas"]["WrittenWidths"][];
            /** Front Panels */
            front_panels: number;
        };
        /**
         * UnderGirth
         * @description A girth taped round her under the laced garment at a level: what she is squeezed to.
         */
        UnderGirth: {
            /**
             * Level
             * @enum {string}
             */
            level: "upper_neck" | "neck_base" | "collarbone" | "high_bust" | "bust" | "underbust" | "ribs" | "waist" | "high_hip" | "hip";
            /** Girth Mm */
            girth_mm: number;
        };
        /**
         * Underway
         * @description Something that is being worked out: what, and the share that is done (None while it waits for its turn).
         */
        Underway: {
            /**
             * What
             * @enum {string}
             */
            what: "odds" | "story" | "schools" | "cutting" | "marker" | "ways" | "by shelf" | "shopping" | "work" | "gains";
            /** Share */
            share: number | null;
        };
        /**
         * Unfit
         * @description A build of a backup that can't be read or worked out: it would come in closed, and says why.
         */
        Unfit: {
            /** Name */
            name: string;
            /** Why */
            why: string;
        };
        /**
         * Use
         * @description What is used of a sheet: mm of a length or 1 of a scrap, and how much of its length lies beside the pieces.
         */
        Use: {
            /** Amount */
            amount: number;
            /** Beside Mm */
            beside_mm: number;
        };
        /**
         * Used
         * @description A piece of the shelf that was cut from: as it was before, and what of it went back.
         */
        Used: {
            stock: components["schemas"]["Stock"];
            /**
             * Rests
             * @default []
             */
            rests: components["schemas"]["Stock"][];
        };
        /**
         * Verdict
         * @description What is to be done with the pattern, of which version, and why. `level` is the one that fails most.
         */
        Verdict: {
            /**
             * Word
             * @enum {string}
             */
            word: "alter it" | "wear it" | "first mock-up" | "try it on" | "measure first" | "one more mock-up" | "look again" | "cut the cloth";
            /** Version */
            version: number;
            /** Probability */
            probability: number | null;
            /** Level */
            level: ("upper_neck" | "neck_base" | "collarbone" | "high_bust" | "bust" | "underbust" | "ribs" | "waist" | "high_hip" | "hip") | null;
            sentence: components["schemas"]["Message"];
        };
        /**
         * WaistTape
         * @description The tape at the waist: where it runs on each half, and the lengths it is cut in, with their turnings, mm.
         *
         *     It is one length over every line that is sewn shut: one over CF or CB, else one for each half.
         */
        WaistTape: {
            right: components["schemas"]["TapeRun"];
            left: components["schemas"]["TapeRun"];
            /** Cuts Mm */
            cuts_mm: number[];
            sentence: components["schemas"]["Message"];
        };
        /**
         * Want
         * @description What one build needs of an article: in all, from the shelf, from orders under way, and what is to be bought.
         *
         *     `buy_mm`: the lengths to be bought that each have to be in one.
         */
        Want: {
            /** Build */
            build: string;
            need: components["schemas"]["Need"];
            /** Taken */
            taken: components["schemas"]["Taken"][];
            /** Coming */
            coming: number;
            /** Buy */
            buy: number;
            /**
             * Buy Mm
             * @default []
             */
            buy_mm: number[];
        };
        /**
         * Wanted
         * @description A bone to cut: its label, and how long, mm.
         */
        Wanted: {
            /** Label */
            label: string;
            /** Length Mm */
            length_mm: number;
        };
        /**
         * WayBack
         * @description How a step that was forgotten is got in after all: what is opened at its place and shut again, and what is undone
         *     and done again. `minutes` is for all of that, without the step itself.
         */
        WayBack: {
            /**
             * Step
             * @description What a step is known by.
             */
            step: string;
            /** Opened */
            opened: string[];
            /** Undone */
            undone: string[];
            /** Minutes */
            minutes: number;
        };
        /**
         * WayDrawn
         * @description A way to come near the drawing: the waist's reduction as a share, padding on each side by level, and how near.
         *
         *     `likeness_percent` is the root mean square of the logarithms of the widths, drawn over worn, in %, those that are
         *     marked surely counting for more; `wanted_mm` the drawn widths at her scale. `spread_share` is how far the reduction
         *     moves with the spread of the drawn waist.
         */
        WayDrawn: {
            /**
             * Way
             * @enum {string}
             */
            way: "no squeeze" | "within the limits" | "as drawn";
            /** Reduction Share */
            reduction_share: number;
            /**
             * Spread Share
             * @default 0
             */
            spread_share: number;
            /** Padding Mm */
            padding_mm: {
                [key: string]: number | undefined;
            };
            /** Likeness Percent */
            likeness_percent: number;
            /** Widths Mm */
            widths_mm: {
                [key: string]: number | undefined;
            };
            /** Wanted Mm */
            wanted_mm: {
                [key: string]: number | undefined;
            };
        };
        /**
         * WayIn
         * @description One way in: the girth that has to pass (mm), the gap behind that it needs, and whether it goes.
         *
         *     `verdict`: as it is worn, only if the lace allows the gap, or not at all.
         */
        WayIn: {
            /**
             * Way
             * @enum {string}
             */
            way: "by the front" | "by the side" | "from behind" | "up over the hips" | "over the head" | "round the neck";
            /** Passes Mm */
            passes_mm: number;
            /** Gap Mm */
            gap_mm: number;
            /**
             * Verdict
             * @enum {string}
             */
            verdict: "yes" | "only if" | "no";
            /** Alone */
            alone: boolean;
            sentence: components["schemas"]["Message"];
        };
        /**
         * WayOut
         * @description One thing done otherwise, or two: how it is called, what each costs, whether all then fits, and how short it is.
         *
         *     `changes` set fields, `edits` change the pattern by hand. `saves_mm` is of the length of the cloth.
         */
        WayOut: {
            /** Said */
            said: components["schemas"]["Message"][];
            /** Costs */
            costs: components["schemas"]["Message"][];
            /** Fits */
            fits: boolean;
            /** Short Mm */
            short_mm: number;
            /** Saves Mm */
            saves_mm: number;
            /** Changes */
            changes: components["schemas"]["Change-Output"][];
            /** Edits */
            edits: (components["schemas"]["SetWidth"] | components["schemas"]["MoveSeam"] | components["schemas"]["LaySeam"] | components["schemas"]["TrimEdge"] | components["schemas"]["MovePoint"] | components["schemas"]["DropPoint"] | components["schemas"]["ShapeLine"] | components["schemas"]["SplitPanel"] | components["schemas"]["DropSeam"] | components["schemas"]["AddGusset"] | components["schemas"]["AddDart"] | components["schemas"]["DropInsert"] | components["schemas"]["JoinSeam"] | components["schemas"]["SetAllowance"] | components["schemas"]["PartHalves"])[];
        };
        /**
         * Ways
         * @description A length that goes either way: what is said of it at zero, above and below.
         */
        Ways: {
            /** Even */
            even: string;
            /** Above */
            above: string;
            /** Below */
            below: string;
        };
        /**
         * WaysOut
         * @description What would help where a cloth is not enough: it is short by so much, and the ways, the best first.
         */
        WaysOut: {
            /**
             * Cloth
             * @description A cloth in the catalogue.
             */
            cloth: string;
            /** Short Mm */
            short_mm: number;
            /** Ways */
            ways: components["schemas"]["WayOut"][];
        };
        /**
         * Wear
         * @description A time that it was worn: when, how long, how hot it was, the gap it was laced to, how it felt, what gave way.
         */
        Wear: {
            /**
             * On
             * Format: date
             */
            on: string;
            /** Hours */
            hours: number | null;
            /** Heat */
            heat: ("cool" | "warm" | "hot") | null;
            /** Gap Mm */
            gap_mm: number | null;
            /** Comfort */
            comfort: ("easy" | "fine" | "tiring" | "hurt") | null;
            /**
             * Note
             * @default
             */
            note: string;
            /**
             * Gave Way
             * @default
             */
            gave_way: string;
        };
        /**
         * Wearer
         * @description Who wears it: girths and heights as read, and how soft she is.
         */
        Wearer: {
            /**
             * Name
             * @default
             */
            name: string;
            /**
             * Softness
             * @default average
             * @enum {string}
             */
            softness: "lean" | "average" | "soft";
            /**
             * New To Lacing
             * @default true
             */
            new_to_lacing: boolean;
            /** Waist To Lap Sitting Mm */
            waist_to_lap_sitting_mm: number | null;
            /** Bust Points Mm */
            bust_points_mm: number | null;
            /** Head Mm */
            head_mm: number | null;
            /** Shoulders Mm */
            shoulders_mm: number | null;
            /**
             * @default {
             *       "readings_mm": [],
             *       "unconfirmed": false
             *     }
             */
            upper_neck: components["schemas"]["NeckLevel"];
            /**
             * @default {
             *       "readings_mm": [],
             *       "unconfirmed": false
             *     }
             */
            neck_base: components["schemas"]["NeckLevel"];
            /**
             * @default {
             *       "readings_mm": [],
             *       "unconfirmed": false
             *     }
             */
            collarbone: components["schemas"]["NeckLevel"];
            /**
             * @default {
             *       "readings_mm": [],
             *       "unconfirmed": false
             *     }
             */
            high_bust: components["schemas"]["Level"];
            /**
             * @default {
             *       "readings_mm": [],
             *       "unconfirmed": false
             *     }
             */
            bust: components["schemas"]["Level"];
            /**
             * @default {
             *       "readings_mm": [],
             *       "unconfirmed": false
             *     }
             */
            underbust: components["schemas"]["Level"];
            /**
             * @default {
             *       "readings_mm": [],
             *       "unconfirmed": false
             *     }
             */
            ribs: components["schemas"]["Level"];
            /**
             * @default {
             *       "readings_mm": [],
             *       "unconfirmed": false
             *     }
             */
            waist: components["schemas"]["Level"];
            /**
             * @default {
             *       "readings_mm": [],
             *       "unconfirmed": false
             *     }
             */
            high_hip: components["schemas"]["Level"];
            /**
             * @default {
             *       "readings_mm": [],
             *       "unconfirmed": false
             *     }
             */
            hip: components["schemas"]["Level"];
        };
        /**
         * Word
         * @description A word that can be chosen, as it is kept and as it is shown.
         */
        Word: {
            /** Name */
            name: string;
            /** Label */
            label: string;
        };
        /**
         * WordExpected
         * @description A word of how it sat, as a share of the comfort limit, that share as expected, and the spreads between.
         */
        WordExpected: {
            /** Fitting */
            fitting: number;
            /**
             * Level
             * @enum {string}
             */
            level: "upper_neck" | "neck_base" | "collarbone" | "high_bust" | "bust" | "underbust" | "ribs" | "waist" | "high_hip" | "hip";
            /** Said Share */
            said_share: number;
            /** Expected Share */
            expected_share: number;
            /** Spreads Off */
            spreads_off: number;
        };
        /**
         * WorkPlan
         * @description The work of the workshop from a day on. `learned`: the rates that her log has taught so far.
         */
        WorkPlan: {
            /**
             * Today
             * Format: date
             */
            today: string;
            /** Minutes By Day */
            minutes_by_day: number[];
            /** Builds */
            builds: components["schemas"]["BuildWork"][];
            /** Steps */
            steps: components["schemas"]["WorkStep"][];
            schedule: components["schemas"]["Schedule"];
            /** Odds */
            odds: components["schemas"]["Odds"][];
            /** Parcels */
            parcels: components["schemas"]["Parcel"][];
            /** Learned */
            learned: components["schemas"]["Rate"][];
        };
        /**
         * WorkStep
         * @description A step as it stands on the schedule: of which build, how it is called, who has to be there, what to mind.
         */
        WorkStep: {
            /** Build */
            build: string;
            /**
             * Key
             * @description What a step is known by.
             */
            key: string;
            name: components["schemas"]["Message"];
            /**
             * With Whom
             * @enum {string}
             */
            with_whom: "herself" | "wearer" | "helper";
            /**
             * Cautions
             * @default []
             */
            cautions: components["schemas"]["Message"][];
            appointment: components["schemas"]["Appointment"] | null;
        };
        /**
         * WornGap
         * @description The gap that it was worn with on a day.
         */
        WornGap: {
            /**
             * On
             * Format: date
             */
            on: string;
            /** Gap Mm */
            gap_mm: number;
        };
        /**
         * WornLevel
         * @description A level as it is worn: with its girth over everything, and the gap behind, where there is one.
         */
        WornLevel: {
            /**
             * Level
             * @enum {string}
             */
            level: "upper_neck" | "neck_base" | "collarbone" | "high_bust" | "bust" | "underbust" | "ribs" | "waist" | "high_hip" | "hip";
            /** Y Mm */
            y_mm: number;
            /** Half Mm */
            half_mm: number;
            /** Front Mm */
            front_mm: number;
            /** Back Mm */
            back_mm: number;
            /** Worn Mm */
            worn_mm: number;
            /** Gap Mm */
            gap_mm: number | null;
            /** Kpa */
            kpa: number | null;
        };
        /**
         * WrittenAddDart
         * @description As it is written: Stitch a dart into a panel.
         */
        WrittenAddDart: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "dart";
            /** Panel */
            panel: number;
            /** Across */
            across?: number | null;
            /** Width Mm */
            width_mm: string | number;
            /** Low Mm */
            low_mm: string | number;
            /** Widest Mm */
            widest_mm: string | number;
            /** High Mm */
            high_mm: string | number;
        };
        /**
         * WrittenAddGusset
         * @description As it is written: Let a gusset into a seam from an edge, or into a panel that is slashed, `across` of the way to its CB edge.
         */
        WrittenAddGusset: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "gusset";
            /** Seam */
            seam?: number | null;
            /** Panel */
            panel?: number | null;
            /** Across */
            across?: number | null;
            /** From Seams */
            from_seams?: boolean | null;
            /**
             * End
             * @enum {string}
             */
            end: "top" | "hem";
            /** Width Mm */
            width_mm: string | number;
            /** Depth Mm */
            depth_mm: string | number;
        };
        /**
         * WrittenAlsoLaced
         * @description As it is written: Another lacing of the same evening, pulled otherwise: it tells a girth from a give for two minutes' work.
         */
        WrittenAlsoLaced: {
            /** Pull */
            pull?: ("light" | "close" | "firm") | null;
            /** Readings */
            readings?: components["schemas"]["WrittenGapReading"][] | null;
            /** Words */
            words?: components["schemas"]["WrittenSaidAt"][] | null;
            /** Laced */
            laced?: components["schemas"]["WrittenLacedGirth"][] | null;
        };
        /**
         * WrittenBackPhoto
         * @description As it is written: A picture of the back with its marks: points (x, y) from its top left, as shares of its width and height.
         */
        WrittenBackPhoto: {
            /**
             * Id
             * @description SHA-256 of the picture's bytes.
             */
            id: string;
            /** Name */
            name?: string | null;
            /** Width Px */
            width_px: number;
            /** Height Px */
            height_px: number;
            /** Scale */
            scale?: [
                number,
                number
            ][] | null;
            /** Known Mm */
            known_mm?: string | number | null;
            /** Known High Mm */
            known_high_mm?: string | number | null;
            /** Waist */
            waist?: [
                number,
                number
            ] | null;
            /** Rows */
            rows?: [
                [
                    number,
                    number
                ],
                [
                    number,
                    number
                ]
            ][] | null;
        };
        /**
         * WrittenBoneKind
         * @description As it is written: A bone as sold. Its stiffness, bends and ends come from what it is made of.
         */
        WrittenBoneKind: {
            /**
             * Name
             * @description A kind of bone in the catalogue.
             */
            name?: string | null;
            /** Label */
            label: string;
            /**
             * Material
             * @enum {string}
             */
            material: "flat steel" | "spiral steel" | "synthetic whalebone" | "plastic" | "woven" | "nylon";
            /** Width Mm */
            width_mm: string | number;
            /** Thickness Mm */
            thickness_mm: string | number;
            /** Sold */
            sold?: ("ready-cut" | "lengths" | "coil") | null;
            /** Lengths Mm */
            lengths_mm?: (string | number)[] | null;
            /** Price Per M */
            price_per_m?: string | number | null;
            /** Price Each */
            price_each?: string | number | null;
            /** G Per M */
            g_per_m?: string | number | null;
            /**
             * Bends To Mm
             * @description The tightest edge-wise bend, where it is known; else from its width.
             */
            bends_to_mm?: string | number | null;
        };
        /**
         * WrittenCloth
         * @description As it is written: A cloth as it is bought.
         */
        WrittenCloth: {
            /**
             * Name
             * @description A cloth in the catalogue.
             */
            name: string;
            /** Label */
            label: string;
            /** Suits */
            suits: ("lining" | "strength" | "interlining" | "fashion" | "overlay")[];
            /** Thickness Mm */
            thickness_mm: string | number;
            /** Mass G M2 */
            mass_g_m2: string | number;
            /** Stiffness Kn Per M */
            stiffness_kn_per_m?: string | number | null;
            /** Stretches More */
            stretches_more?: string | number | null;
            /** Stretches Spread */
            stretches_spread?: string | number | null;
            /** Gives Along */
            gives_along?: string | number | null;
            /** Gives Across */
            gives_across?: string | number | null;
            /** Gives Bias */
            gives_bias?: string | number | null;
            /** Holds N Per M */
            holds_n_per_m?: string | number | null;
            /** Bears C */
            bears_c?: string | number | null;
            /** Fuses C */
            fuses_c?: string | number | null;
            /** Frays */
            frays?: string | number | null;
            /** See Through */
            see_through?: boolean | null;
            /** One Way */
            one_way?: boolean | null;
            /** Sheds */
            sheds?: boolean | null;
            /** Breaks Needles */
            breaks_needles?: boolean | null;
            /** Repeat Along Mm */
            repeat_along_mm?: string | number | null;
            /** Repeat Across Mm */
            repeat_across_mm?: string | number | null;
            /** Width Mm */
            width_mm?: string | number | null;
            /** Selvedge Mm */
            selvedge_mm?: string | number | null;
            /** Price Per M */
            price_per_m?: string | number | null;
        };
        /**
         * WrittenDropInsert
         * @description As it is written: Take out a gusset or dart, by its place in the list.
         */
        WrittenDropInsert: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "drop_insert";
            /**
             * What
             * @enum {string}
             */
            what: "gusset" | "dart";
            /** Index */
            index: number;
        };
        /**
         * WrittenDropPoint
         * @description As it is written: Take a point out of the top line or hem.
         */
        WrittenDropPoint: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "drop_point";
            /**
             * End
             * @enum {string}
             */
            end: "top" | "hem";
            /**
             * Place
             * @description 0 at CF, 1 at the side, 2 at CB, by width between.
             */
            place: number;
            /** Side */
            side?: ("both" | "right" | "left") | null;
        };
        /**
         * WrittenDropSeam
         * @description As it is written: Drop a panel: join the two at a seam into one. Girths and edges stay; the seam's shape goes to its neighbour.
         */
        WrittenDropSeam: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "drop_seam";
            /** Seam */
            seam: number;
        };
        /**
         * WrittenEdgeSaid
         * @description As it is written: An edge that sits too high (above zero) or too low, by so much at one place.
         */
        WrittenEdgeSaid: {
            /**
             * Edge
             * @enum {string}
             */
            edge: "top" | "hem";
            /**
             * Place
             * @enum {string}
             */
            place: "CF" | "side" | "CB";
            /** Off Mm */
            off_mm: string | number;
        };
        /**
         * WrittenGapReading
         * @description As it is written: The gap between the edges at a height on the back; from a photo with the spread of its marks.
         */
        WrittenGapReading: {
            /** Z Mm */
            z_mm: string | number;
            /** Gap Mm */
            gap_mm: string | number;
            /** Spread Mm */
            spread_mm?: string | number | null;
        };
        /**
         * WrittenJoinSeam
         * @description As it is written: Cut the panels at a seam as one piece, with a dart for what lies between; or as two again.
         */
        WrittenJoinSeam: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "join";
            /** Seam */
            seam: number;
            /** Joined */
            joined: boolean;
        };
        /**
         * WrittenLacedGirth
         * @description As it is written: A girth taped over the laced garment at a level.
         */
        WrittenLacedGirth: {
            /**
             * Level
             * @enum {string}
             */
            level: "upper_neck" | "neck_base" | "collarbone" | "high_bust" | "bust" | "underbust" | "ribs" | "waist" | "high_hip" | "hip";
            /** Girth Mm */
            girth_mm: string | number;
        };
        /**
         * WrittenLaySeam
         * @description As it is written: Lay a seam elsewhere: so much toward CB (+) at each of these levels; girths stay.
         */
        WrittenLaySeam: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "lay_seam";
            /** Seam */
            seam: number;
            /** Shifts */
            shifts: components["schemas"]["WrittenSeamShift"][];
            /** Side */
            side?: ("both" | "right" | "left") | null;
        };
        /**
         * WrittenLogEntry
         * @description As it is written: Time on a step: on which day, how many minutes of hands on it, a note; and what went wrong, if something did.
         */
        WrittenLogEntry: {
            /**
             * Step
             * @description What a step is known by.
             */
            step: string;
            /** On */
            on?: string | null;
            /** Minutes */
            minutes: string | number;
            /** Note */
            note?: string | null;
            /** Mishap */
            mishap?: string | null;
            /** Photos */
            photos?: components["schemas"]["WrittenPhoto"][] | null;
        };
        /**
         * WrittenMockUp
         * @description As it is written: What mock-ups are made of.
         */
        WrittenMockUp: {
            stack?: components["schemas"]["WrittenStack"] | null;
            /**
             * Edge Bone
             * @description A kind of bone in the catalogue.
             */
            edge_bone?: string | null;
            /** Boned */
            boned?: boolean | null;
            /** Closing */
            closing?: ("laced" | "pinned" | "open") | null;
            /**
             * Strip
             * @description A strip with grommets, basted on and used again.
             */
            strip?: boolean | null;
        };
        /**
         * WrittenMovePoint
         * @description As it is written: Put a point of the top line or hem at a height: CF (0), side (1), CB (2), or any place between.
         */
        WrittenMovePoint: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "point";
            /**
             * End
             * @enum {string}
             */
            end: "top" | "hem";
            /**
             * Place
             * @description 0 at CF, 1 at the side, 2 at CB, by width between.
             */
            place: number;
            /** Z Mm */
            z_mm: string | number;
            /**
             * To Place
             * @description Also move it round the body, to there.
             */
            to_place?: number | null;
            /** Corner */
            corner?: boolean | null;
            /** Side */
            side?: ("both" | "right" | "left") | null;
        };
        /**
         * WrittenMoveSeam
         * @description As it is written: Take in (−) or let out (+) at a seam, so much on each panel edge; or shift the seam toward CB (+).
         */
        WrittenMoveSeam: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "seam";
            /** Seam */
            seam: number;
            /** At Mm */
            at_mm: string | number;
            /** Amount Mm */
            amount_mm: string | number;
            /** How */
            how?: ("girth" | "shift") | null;
            /** Reach Up Mm */
            reach_up_mm?: string | number | null;
            /** Reach Down Mm */
            reach_down_mm?: string | number | null;
            /** Side */
            side?: ("both" | "right" | "left") | null;
        };
        /**
         * WrittenMoved
         * @description As it is written: Something she did in it, and how that went.
         */
        WrittenMoved: {
            /**
             * Test
             * @enum {string}
             */
            test: "sit" | "bend" | "breathe" | "raise arms" | "turn the head" | "in alone" | "out alone";
            /**
             * Went
             * @enum {string}
             */
            went: "well" | "hard" | "not";
        };
        /**
         * WrittenOwnCloth
         * @description As it is written: A cloth as it is bought.
         */
        WrittenOwnCloth: {
            /**
             * Name
             * @description A cloth in the catalogue.
             */
            name?: string | null;
            /** Label */
            label?: string | null;
            /** Suits */
            suits?: ("lining" | "strength" | "interlining" | "fashion" | "overlay")[] | null;
            /** Thickness Mm */
            thickness_mm?: string | number | null;
            /** Mass G M2 */
            mass_g_m2?: string | number | null;
            /** Stiffness Kn Per M */
            stiffness_kn_per_m?: string | number | null;
            /** Stretches More */
            stretches_more?: string | number | null;
            /** Stretches Spread */
            stretches_spread?: string | number | null;
            /** Gives Along */
            gives_along?: string | number | null;
            /** Gives Across */
            gives_across?: string | number | null;
            /** Gives Bias */
            gives_bias?: string | number | null;
            /** Holds N Per M */
            holds_n_per_m?: string | number | null;
            /** Bears C */
            bears_c?: string | number | null;
            /** Fuses C */
            fuses_c?: string | number | null;
            /** Frays */
            frays?: string | number | null;
            /** See Through */
            see_through?: boolean | null;
            /** One Way */
            one_way?: boolean | null;
            /** Sheds */
            sheds?: boolean | null;
            /** Breaks Needles */
            breaks_needles?: boolean | null;
            /** Repeat Along Mm */
            repeat_along_mm?: string | number | null;
            /** Repeat Across Mm */
            repeat_across_mm?: string | number | null;
            /** Width Mm */
            width_mm?: string | number | null;
            /** Selvedge Mm */
            selvedge_mm?: string | number | null;
            /** Price Per M */
            price_per_m?: string | number | null;
        };
        /**
         * WrittenOwnStep
         * @description As it is written: A step of her own: after which steps, and before which.
         */
        WrittenOwnStep: {
            /** Key */
            key?: string | null;
            /** Name */
            name?: string | null;
            /** Minutes */
            minutes?: string | number | null;
            /** Waits H */
            waits_h?: string | number | null;
            /** After */
            after?: string[] | null;
            /** Before */
            before?: string[] | null;
        };
        /**
         * WrittenPad
         * @description As it is written: Padding at a level: how thick it is there, on each side of it that is meant. It runs out at the next levels.
         */
        WrittenPad: {
            /** Level */
            level: ("upper_neck" | "neck_base" | "collarbone" | "high_bust" | "bust" | "underbust" | "ribs" | "waist" | "high_hip" | "hip") | "shoulders";
            /** Place */
            place?: ("sides" | "front" | "back" | "all round") | null;
            /**
             * Cloth
             * @description A cloth in the catalogue.
             */
            cloth?: string | null;
            /** Thick Mm */
            thick_mm: string | number;
        };
        /**
         * WrittenPartHalves
         * @description As it is written: Let the left half differ from the right, or make both the same (as the right is) again.
         */
        WrittenPartHalves: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "halves";
            /** Differ */
            differ: boolean;
        };
        /**
         * WrittenPhoto
         * @description As it is written: A photo that the workshop keeps under `id`, with its size in pixels.
         */
        WrittenPhoto: {
            /**
             * Id
             * @description SHA-256 of the picture's bytes.
             */
            id: string;
            /** Name */
            name?: string | null;
            /** Width Px */
            width_px: number;
            /** Height Px */
            height_px: number;
        };
        /**
         * WrittenPinch
         * @description As it is written: Pinched out of a named seam between two heights, or slashed open (below zero): mm at its peak, on each half.
         */
        WrittenPinch: {
            /**
             * Seam
             * @description Seam k joins panels k and k + 1.
             */
            seam: number;
            /** From Mm */
            from_mm: string | number;
            /** To Mm */
            to_mm: string | number;
            /** Amount Mm */
            amount_mm: string | number;
            /** Half */
            half?: ("both" | "right" | "left") | null;
        };
        /**
         * WrittenSaidAt
         * @description As it is written: An answer in words at a level: how it sat there.
         */
        WrittenSaidAt: {
            /**
             * Level
             * @enum {string}
             */
            level: "upper_neck" | "neck_base" | "collarbone" | "high_bust" | "bust" | "underbust" | "ribs" | "waist" | "high_hip" | "hip";
            /**
             * Word
             * @enum {string}
             */
            word: "digs" | "firm" | "right" | "light" | "stands off";
        };
        /**
         * WrittenSeamShift
         * @description As it is written: By how much a seam goes toward CB (+) at a level.
         */
        WrittenSeamShift: {
            /**
             * Level
             * @enum {string}
             */
            level: "upper_neck" | "neck_base" | "collarbone" | "high_bust" | "bust" | "underbust" | "ribs" | "waist" | "high_hip" | "hip";
            /** Amount Mm */
            amount_mm: string | number;
        };
        /**
         * WrittenSetAllowance
         * @description As it is written: The allowance of one seam; None takes that of all seams again.
         */
        WrittenSetAllowance: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "allowance";
            /** Seam */
            seam: number;
            /** Allowance Mm */
            allowance_mm: string | number | null;
        };
        /**
         * WrittenSetWidth
         * @description As it is written: Make a panel so wide at a level; the girth changes with it.
         */
        WrittenSetWidth: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "width";
            /** Panel */
            panel: number;
            /**
             * Level
             * @enum {string}
             */
            level: "upper_neck" | "neck_base" | "collarbone" | "high_bust" | "bust" | "underbust" | "ribs" | "waist" | "high_hip" | "hip";
            /** Width Mm */
            width_mm: string | number;
            /** Side */
            side?: ("both" | "right" | "left") | null;
        };
        /**
         * WrittenShapeLine
         * @description As it is written: Give the top line or hem one of the usual shapes.
         */
        WrittenShapeLine: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "line_shape";
            /**
             * End
             * @enum {string}
             */
            end: "top" | "hem";
            /**
             * Shape
             * @enum {string}
             */
            shape: "plain" | "sweetheart" | "scoop" | "point" | "swoop";
            /**
             * Bust Place
             * @description 0 at CF, 1 at the side, 2 at CB, by width between.
             */
            bust_place?: number | null;
        };
        /**
         * WrittenSplitPanel
         * @description As it is written: Add a panel: cut one in two, `across` of the way to its edge toward CB. Girths and edges stay.
         */
        WrittenSplitPanel: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "split";
            /** Panel */
            panel: number;
            /** Across */
            across?: number | null;
        };
        /**
         * WrittenStack
         * @description As it is written: A garment's cloth: strength ply, and the thickness of what lies outside it, inside it and under it.
         */
        WrittenStack: {
            /**
             * Strength
             * @description A cloth in the catalogue.
             */
            strength?: string | null;
            own?: components["schemas"]["WrittenCloth"] | null;
            /** Fashion Mm */
            fashion_mm?: string | number | null;
            /** Lining Mm */
            lining_mm?: string | number | null;
            /** Worn Under Mm */
            worn_under_mm?: string | number | null;
        };
        /**
         * WrittenStandOff
         * @description As it is written: How much stood off at a level (pinched out), or was missing (slashed open, below zero), in mm of girth.
         */
        WrittenStandOff: {
            /**
             * Level
             * @enum {string}
             */
            level: "upper_neck" | "neck_base" | "collarbone" | "high_bust" | "bust" | "underbust" | "ribs" | "waist" | "high_hip" | "hip";
            /** Off Mm */
            off_mm: string | number;
        };
        /**
         * WrittenStock
         * @description As it is written: Pieces of one sort and size that lie on the shelf.
         */
        WrittenStock: {
            /** Sort */
            sort?: ("cloth" | "bone" | "busk" | "zip" | "grommets" | "lace" | "tape" | "hooks" | "ends" | "thread" | "trim") | null;
            /**
             * Name
             * @description Of one sort, what it is.
             */
            name?: string | null;
            /** Label */
            label?: string | null;
            /** Count */
            count?: string | number | null;
            /** Length Mm */
            length_mm?: string | number | null;
            /** Width Mm */
            width_mm?: string | number | null;
            /** Outline */
            outline?: [
                string | number,
                string | number
            ][] | null;
            /** Flaws */
            flaws?: [
                string | number,
                string | number
            ][][] | null;
            /** Where */
            where?: string | null;
            /** Lot */
            lot?: string | null;
            /** Cost */
            cost?: string | number | null;
            /** Note */
            note?: string | null;
        };
        /**
         * WrittenTap
         * @description As it is written: A place touched on the drawn wearer: what it does there, and by how much where that can be said.
         */
        WrittenTap: {
            /**
             * View
             * @enum {string}
             */
            view: "front" | "side" | "back";
            /** Z Mm */
            z_mm: string | number;
            /** Across */
            across?: number | null;
            /**
             * Word
             * @enum {string}
             */
            word: "digs" | "firm" | "right" | "light" | "stands off";
            /** Off Mm */
            off_mm?: string | number | null;
            /** Half */
            half?: ("both" | "right" | "left") | null;
        };
        /**
         * WrittenTrimEdge
         * @description As it is written: Cut so much off CB (or CF) on each half, all along it (+), or leave so much on (−); another amount at the hem.
         */
        WrittenTrimEdge: {
            /**
             * @description discriminator enum property added by openapi-typescript
             * @enum {string}
             */
            kind: "trim";
            /** Edge */
            edge?: ("CB" | "CF") | null;
            /** Amount Mm */
            amount_mm: string | number;
            /** Hem Mm */
            hem_mm?: string | number | null;
            /** Side */
            side?: ("both" | "right" | "left") | null;
        };
        /**
         * WrittenUnderGirth
         * @description As it is written: A girth taped round her under the laced garment at a level: what she is squeezed to.
         */
        WrittenUnderGirth: {
            /**
             * Level
             * @enum {string}
             */
            level: "upper_neck" | "neck_base" | "collarbone" | "high_bust" | "bust" | "underbust" | "ribs" | "waist" | "high_hip" | "hip";
            /** Girth Mm */
            girth_mm: string | number;
        };
        /**
         * WrittenWidths
         * @description Widths of all panels at a level as written, CF to CB: lengths as text or mm.
         */
        WrittenWidths: {
            /** Name */
            name: string;
            /** Widths Mm */
            widths_mm: (string | number)[];
        };
        /**
         * Zone
         * @description How a zone gives (share of the girth, by softness) and the pressure that is close but comfortable.
         */
        Zone: {
            /** Lean */
            lean: number;
            /** Average */
            average: number;
            /** Soft */
            soft: number;
            /** Comfort Kpa */
            comfort_kpa: number;
            /** Width To Depth */
            width_to_depth: number;
            /** Front Share */
            front_share: number;
        };
        /**
         * Zones
         * @description Workshop starting values by level; fittings refine them.
         */
        Zones: {
            /**
             * @default {
             *       "lean": 0.015,
             *       "average": 0.02,
             *       "soft": 0.03,
             *       "comfort_kpa": 0.5,
             *       "width_to_depth": 1.1,
             *       "front_share": 0.5
             *     }
             */
            upper_neck: components["schemas"]["Zone"];
            /**
             * @default {
             *       "lean": 0.015,
             *       "average": 0.02,
             *       "soft": 0.03,
             *       "comfort_kpa": 0.5,
             *       "width_to_depth": 1.1,
             *       "front_share": 0.5
             *     }
             */
            neck_base: components["schemas"]["Zone"];
            /**
             * @default {
             *       "lean": 0.015,
             *       "average": 0.02,
             *       "soft": 0.03,
             *       "comfort_kpa": 0.5,
             *       "width_to_depth": 1.35,
             *       "front_share": 0.5
             *     }
             */
            collarbone: components["schemas"]["Zone"];
            /**
             * @default {
             *       "lean": 0.03,
             *       "average": 0.04,
             *       "soft": 0.05,
             *       "comfort_kpa": 2.5,
             *       "width_to_depth": 1.45,
             *       "front_share": 0.51
             *     }
             */
            high_bust: components["schemas"]["Zone"];
            /**
             * @default {
             *       "lean": 0.04,
             *       "average": 0.06,
             *       "soft": 0.08,
             *       "comfort_kpa": 2,
             *       "width_to_depth": 1.45,
             *       "front_share": 0.55
             *     }
             */
            bust: components["schemas"]["Zone"];
            /**
             * @default {
             *       "lean": 0.03,
             *       "average": 0.04,
             *       "soft": 0.06,
             *       "comfort_kpa": 2.5,
             *       "width_to_depth": 1.35,
             *       "front_share": 0.52
             *     }
             */
            underbust: components["schemas"]["Zone"];
            /**
             * @default {
             *       "lean": 0.03,
             *       "average": 0.04,
             *       "soft": 0.06,
             *       "comfort_kpa": 2.5,
             *       "width_to_depth": 1.35,
             *       "front_share": 0.51
             *     }
             */
            ribs: components["schemas"]["Zone"];
            /**
             * @default {
             *       "lean": 0.1,
             *       "average": 0.13,
             *       "soft": 0.16,
             *       "comfort_kpa": 4,
             *       "width_to_depth": 1.35,
             *       "front_share": 0.5
             *     }
             */
            waist: components["schemas"]["Zone"];
            /**
             * @default {
             *       "lean": 0.05,
             *       "average": 0.06,
             *       "soft": 0.08,
             *       "comfort_kpa": 3,
             *       "width_to_depth": 1.4,
             *       "front_share": 0.49
             *     }
             */
            high_hip: components["schemas"]["Zone"];
            /**
             * @default {
             *       "lean": 0.04,
             *       "average": 0.05,
             *       "soft": 0.07,
             *       "comfort_kpa": 3,
             *       "width_to_depth": 1.4,
             *       "front_share": 0.48
             *     }
             */
            hip: components["schemas"]["Zone"];
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
    list_builds_api_builds_get: {
        parameters: {
            query?: {
                archived?: boolean;
            };
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Line"][];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    make_build_api_builds_post: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["NewBuild"];
            };
        };
        responses: {
            /** @description Successful Response */
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Line"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    import_build_api_builds_import_post: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/octet-stream": Blob;
            };
        };
        responses: {
            /** @description Successful Response */
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Line"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    duplicate_build_api_builds__build_id__duplicate_post: {
        parameters: {
            query?: {
                again?: boolean;
            };
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Line"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    archive_build_api_builds__build_id__archive_post: {
        parameters: {
            query?: {
                archived?: boolean;
            };
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Line"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    read_build_api_builds__build_id__get: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OpenBuild"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    delete_build_api_builds__build_id__delete: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    undelete_build_api_builds__build_id__undelete_post: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Line"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    read_house_api_house_get: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["House-Output"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    change_house_api_house_patch: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["House-Input"];
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["House-Output"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    read_catalogue_api_catalogue_get: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Catalogue"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    change_build_api_builds__build_id__changes_post: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["SetFields"];
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OpenBuild"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    try_changes_api_builds__build_id__trial_post: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["Trial"];
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Plan"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    undo_api_builds__build_id__undo_post: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["OnRevision"];
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OpenBuild"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    redo_api_builds__build_id__redo_post: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["OnRevision"];
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OpenBuild"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    read_history_api_builds__build_id__history_get: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Past"][];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    restore_api_builds__build_id__restore_post: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["Restoring"];
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OpenBuild"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    take_picture_api_builds__build_id__pictures_post: {
        parameters: {
            query: {
                revision: number;
                name?: string;
                role?: "reference" | "sketch";
            };
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/octet-stream": Blob;
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OpenBuild"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    read_pictures_api_builds__build_id__drawn_get: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["DrawnSeen"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    read_lines_api_builds__build_id__lines_get: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["LinesSeen"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    show_picture_api_pictures__picture_id__get: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                picture_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    list_wearers_api_wearers_get: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["BookEntry"][];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    delete_wearer_api_wearers__wearer_id__delete: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                wearer_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    undelete_wearer_api_wearers__wearer_id__undelete_post: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                wearer_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    save_measures_api_builds__build_id__measures_csv_get: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    open_measures_api_measures_csv_post: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/octet-stream": Blob;
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["MeasuresRead"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    write_down_api_builds__build_id__book_post: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["KeepMeasures"];
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OpenBuild"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    look_at_measuring_api_builds__build_id__measurings__measuring_id__get: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
                measuring_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Remeasured"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    take_measuring_api_builds__build_id__measuring_post: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["TakeMeasures"];
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OpenBuild"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    next_version_api_builds__build_id__versions_post: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["NextVersion"];
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OpenBuild"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    type_widths_api_builds__build_id__typed_post: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["TypedIn"];
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OpenBuild"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    compare_versions_api_builds__build_id__compare_get: {
        parameters: {
            query: {
                before: number;
                after: number;
            };
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Compared"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    edit_the_pattern_api_builds__build_id__pattern_post: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["PatternEdits"];
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OpenBuild"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    preview_edit_api_builds__build_id__pattern_preview_post: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["EditPreview"];
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["EditedPattern"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    refit_build_api_builds__build_id__refit_post: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["Refitting"];
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OpenBuild"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    open_drawing_api_drawings_post: {
        parameters: {
            query?: {
                name?: string;
                unit?: ("mm" | "cm" | "in" | "px") | null;
            };
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/octet-stream": Blob;
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Drawing"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    check_traced_api_builds__build_id__traced_check_post: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["TracedPattern"];
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["TracedAnswer"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    keep_traced_api_builds__build_id__traced_post: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["Traced"];
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OpenBuild"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    new_fitting_api_builds__build_id__fittings_post: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["NewFitting"];
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OpenBuild"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    mend_fitting_api_builds__build_id__fittings__number__put: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
                number: number;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["NewFitting"];
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OpenBuild"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    keep_photo_api_photos_post: {
        parameters: {
            query?: {
                name?: string;
                build?: string;
                page?: string;
            };
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/octet-stream": Blob;
            };
        };
        responses: {
            /** @description Successful Response */
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["KeptPhoto"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    read_photo_api_builds__build_id__photo_post: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["BackPhoto-Input"];
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["GapSeen"][];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    change_line_api_builds__build_id__change_line_put: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["SetLine"];
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OpenBuild"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    read_readiness_api_builds__build_id__readiness_get: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Readiness"] | null;
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    read_story_api_builds__build_id__story_get: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Chapter"][];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    rehearse_api_builds__build_id__rehearse_post: {
        parameters: {
            query?: {
                world?: "kind" | "harsh";
            };
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Line"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    try_on_stand_api_builds__build_id__stand_post: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Fitting"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    cut_for_stand_api_builds__build_id__stand_cut_post: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Outcome"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    read_schools_api_builds__build_id__bones_schools_get: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["SchoolEffect"][];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    read_cutting_api_builds__build_id__bones_cutting_get: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CuttingPlan"][];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    bones_are_cut_api_builds__build_id__bones_cut_post: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["OnRevision"];
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OpenBuild"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    bones_are_not_cut_api_builds__build_id__bones_uncut_post: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["OnRevision"];
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OpenBuild"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    keep_bone_kind_api_builds__build_id__catalogue_bones_put: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["KeepKind"];
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OpenBuild"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    print_bones_api_builds__build_id__bones_pdf_get: {
        parameters: {
            query?: {
                paper?: "a4" | "letter";
                mock_up?: boolean;
            };
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    print_front_api_builds__build_id__front_pdf_get: {
        parameters: {
            query?: {
                paper?: "a4" | "letter";
            };
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    print_holes_api_builds__build_id__holes_pdf_get: {
        parameters: {
            query?: {
                paper?: "a4" | "letter";
            };
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    put_in_api_builds__build_id__plies_post: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["PutPly"];
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OpenBuild"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    take_out_api_builds__build_id__plies_take_post: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["TakePly"];
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OpenBuild"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    move_api_builds__build_id__plies_move_post: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["MovePly"];
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OpenBuild"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    keep_own_cloth_api_builds__build_id__catalogue_cloths_put: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["KeepCloth"];
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OpenBuild"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    keep_trim_api_builds__build_id__trims__group__put: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
                group: "along" | "areas" | "flossing" | "hanging" | "straps" | "chains";
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["PutTrim"];
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OpenBuild"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    take_off_api_builds__build_id__trims_take_post: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["TakeTrim"];
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OpenBuild"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    show_marks_api_builds__build_id__trims_marks_get: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["TrimMarks"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    show_room_api_builds__build_id__trims_room_get: {
        parameters: {
            query?: {
                wide?: string;
                high?: string;
            };
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["FreeRooms"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    read_cut_api_builds__build_id__cut_get: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CutPlan"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    lay_out_api_builds__build_id__cut__cloth__get: {
        parameters: {
            query?: {
                seconds?: number;
            };
            header?: never;
            path: {
                build_id: string;
                cloth: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ClothLaid"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    read_by_shelf_api_builds__build_id__by_shelf_get: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ByShelf"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    read_ways_api_builds__build_id__cut__cloth__ways_get: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
                cloth: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["WaysOut"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    take_a_way_api_builds__build_id__cut__cloth__ways_post: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
                cloth: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["TakeWay"];
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OpenBuild"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    pin_pieces_api_builds__build_id__cut__cloth__pinned_put: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
                cloth: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["PinPieces"];
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OpenBuild"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    cloth_is_cut_api_builds__build_id__cut__cloth__done_post: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
                cloth: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["CutAsSeen"];
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OpenBuild"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    cloth_is_not_cut_api_builds__build_id__cut__cloth__not_done_post: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
                cloth: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["OnRevision"];
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OpenBuild"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    print_laid_api_builds__build_id__cut__cloth__layout__how__get: {
        parameters: {
            query?: {
                paper?: "a4" | "letter";
            };
            header?: never;
            path: {
                build_id: string;
                cloth: string;
                how: "pdf" | "svg";
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    show_on_body_api_builds__build_id__body_get: {
        parameters: {
            query?: {
                version?: string;
            };
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OnBody"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    show_silhouette_api_builds__build_id__silhouette_get: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Silhouettes"] | null;
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    draw_body_api_builds__build_id__body_svg_get: {
        parameters: {
            query?: {
                turn?: number[];
                version?: string;
            };
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    read_make_api_builds__build_id__make_get: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["MakeSeen"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    do_step_api_builds__build_id__make_do_post: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["DoStep"];
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OpenBuild"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    undo_step_api_builds__build_id__make_undo_post: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["OfStep"];
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OpenBuild"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    leave_step_out_api_builds__build_id__make_leave_out_post: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["LeaveOut"];
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OpenBuild"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    take_step_in_api_builds__build_id__make_take_in_post: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["OfStep"];
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OpenBuild"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    appoint_step_api_builds__build_id__make_appoint_post: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["Appoint"];
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OpenBuild"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    put_in_order_api_builds__build_id__make_order_put: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["Reorder"];
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OpenBuild"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    keep_own_api_builds__build_id__make_own_put: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["PutOwn"];
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OpenBuild"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    take_own_out_api_builds__build_id__make_own_take_post: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["OfStep"];
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OpenBuild"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    start_clock_api_builds__build_id__make_start_post: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["OfStep"];
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OpenBuild"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    stop_clock_api_builds__build_id__make_stop_post: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["StopClock"];
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OpenBuild"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    log_work_api_builds__build_id__make_log_post: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["PutEntry"];
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OpenBuild"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    unlog_work_api_builds__build_id__make_log_take_post: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["OfEntry"];
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OpenBuild"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    read_work_api_work_get: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["WorkPlan"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    list_work_underway_api_work_underway_get: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Underway"][];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    stop_work_api_work_underway_delete: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    save_work_api_work_ics_get: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    print_work_api_work_pdf_get: {
        parameters: {
            query?: {
                paper?: "a4" | "letter";
            };
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    read_gains_api_builds__build_id__make_gains_get: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Gains"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    take_gain_api_builds__build_id__make_gains_post: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["TakeGain"];
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OpenBuild"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    read_record_api_builds__build_id__record_get: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CardSeen"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    print_card_api_builds__build_id__card_pdf_get: {
        parameters: {
            query?: {
                paper?: "a4" | "letter";
                whole?: boolean;
            };
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    draw_card_api_builds__build_id__card_png_get: {
        parameters: {
            query?: {
                paper?: "a4" | "letter";
            };
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    find_cards_api_cards_get: {
        parameters: {
            query?: {
                words?: string;
                kind?: string;
            };
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CardsSeen"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    compare_cards_api_cards_compare_get: {
        parameters: {
            query: {
                first: string;
                second: string;
            };
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["SideBySide"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    read_shelf_api_shelf_get: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OpenShelf"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    list_articles_api_articles_get: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["KnownArticles"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    put_on_api_shelf_pieces_post: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["PutOnShelf"];
            };
        };
        responses: {
            /** @description Successful Response */
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OpenShelf"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    rewrite_piece_api_shelf_pieces__stock__put: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                stock: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["RewritePiece"];
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OpenShelf"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    take_piece_off_api_shelf_pieces__stock__take_off_post: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                stock: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["OnShelfRevision"];
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OpenShelf"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    reserve_piece_api_shelf_pieces__stock__reserve_post: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                stock: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["Reserve"];
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OpenShelf"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    reserve_all_api_builds__build_id__reserve_post: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ReserveAll"];
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OpenShelf"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    read_needs_api_builds__build_id__needs_get: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Needs"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    undo_shelf_api_shelf_undo_post: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["OnShelfRevision"];
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OpenShelf"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    redo_shelf_api_shelf_redo_post: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["OnShelfRevision"];
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OpenShelf"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    read_scrap_api_scrap_post: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["ScrapPhoto"];
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ScrapRead"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    save_shelf_api_shelf_csv_get: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    open_csv_api_shelf_csv_post: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/octet-stream": Blob;
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["CsvRead"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    read_shopping_api_shopping_get: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ShoppingSeen"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    list_shopping_underway_api_shopping_underway_get: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Underway"][];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    stop_shopping_api_shopping_underway_delete: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    save_shopping_api_shopping_csv_get: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    open_list_api_shopping_csv_post: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/octet-stream": Blob;
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["ListRead"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    order_api_orders_post: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["PlaceOrder"];
            };
        };
        responses: {
            /** @description Successful Response */
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OpenShelf"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    order_arrived_api_orders__order_id__arrive_post: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                order_id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["Arrived"];
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OpenShelf"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    cancel_order_api_orders__order_id__cancel_post: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                order_id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["OnShelfRevision"];
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OpenShelf"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    print_large_pdf: {
        parameters: {
            query?: {
                /** @description How wide the page is, mm; 841 is A0. */
                roll?: number;
                /** @description One of its versions; none is the present one. */
                version?: number | null;
            };
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    print_projector_pdf: {
        parameters: {
            query?: {
                /** @description How wide the page is, mm; 841 is A0. */
                roll?: number;
                /** @description One of its versions; none is the present one. */
                version?: number | null;
            };
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    print_pattern_pdf: {
        parameters: {
            query?: {
                paper?: "a4" | "letter";
                /** @description One of its versions; none is the present one. */
                version?: number | null;
            };
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    print_plies_pdf: {
        parameters: {
            query?: {
                paper?: "a4" | "letter";
                /** @description One of its versions; none is the present one. */
                version?: number | null;
            };
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    print_list_pdf: {
        parameters: {
            query?: {
                paper?: "a4" | "letter";
                /** @description One of its versions; none is the present one. */
                version?: number | null;
            };
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    print_fitting_pdf: {
        parameters: {
            query?: {
                paper?: "a4" | "letter";
                /** @description One of its versions; none is the present one. */
                version?: number | null;
            };
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    print_on_her_pdf: {
        parameters: {
            query?: {
                paper?: "a4" | "letter";
                /** @description One of its versions; none is the present one. */
                version?: number | null;
            };
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    print_pattern_svg: {
        parameters: {
            query?: {
                /** @description One of its versions; none is the present one. */
                version?: number | null;
            };
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    print_pattern_dxf: {
        parameters: {
            query?: {
                /** @description One of its versions; none is the present one. */
                version?: number | null;
            };
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    print_plies_svg: {
        parameters: {
            query?: {
                /** @description One of its versions; none is the present one. */
                version?: number | null;
            };
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    print_plies_dxf: {
        parameters: {
            query?: {
                /** @description One of its versions; none is the present one. */
                version?: number | null;
            };
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    export_build_api_builds__build_id__build_fuseau_json_get: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    save_bones_api_builds__build_id__bones_csv_get: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    letter_to_send_api_builds__build_id__letter_html_get: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    letter_to_print_api_builds__build_id__letter_pdf_get: {
        parameters: {
            query?: {
                paper?: "a4" | "letter";
            };
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    read_answer_api_builds__build_id__letter_post: {
        parameters: {
            query: {
                revision: number;
            };
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/octet-stream": Blob;
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["OpenBuild"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    list_copies_api_copies_get: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["KeptCopy"][];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    take_backup_api_backup_get: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    offer_backup_api_backup_put: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/octet-stream": Blob;
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Contents"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    bring_backup_in_api_backup_post: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody: {
            content: {
                "application/json": components["schemas"]["BringIn"];
            };
        };
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["BroughtIn"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    let_backup_go_api_backup_delete: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    list_underway_api_builds__build_id__underway_get: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Underway"][];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    stop_underway_api_builds__build_id__underway__what__delete: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                build_id: string;
                what: "odds" | "story" | "schools" | "cutting" | "marker" | "ways" | "by shelf" | "shopping" | "work" | "gains";
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            204: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    read_room_api_room_get: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["RoomState"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    open_room_api_room_open_put: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["RoomState"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    close_room_api_room_open_delete: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["RoomState"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    make_code_api_room_code_post: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["RoomCode"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    put_out_api_room_devices__device_id__delete: {
        parameters: {
            query?: never;
            header?: never;
            path: {
                device_id: string;
            };
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["RoomState"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    listen_api_events_get: {
        parameters: {
            query?: {
                after?: number | null;
            };
            header?: {
                "last-event-id"?: string;
            };
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content?: never;
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    find_anywhere_api_find_get: {
        parameters: {
            query?: {
                words?: string;
            };
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Place"][];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    read_about_api_about_get: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            200: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["About"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
    open_demo_api_demo_post: {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        requestBody?: never;
        responses: {
            /** @description Successful Response */
            201: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Beside"];
                };
            };
            /** @description Not Found */
            404: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Conflict */
            409: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
            /** @description Unprocessable Entity */
            422: {
                headers: {
                    [name: string]: unknown;
                };
                content: {
                    "application/json": components["schemas"]["Trouble"];
                };
            };
        };
    };
}
