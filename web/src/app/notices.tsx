import { useStore } from 'zustand';
import { Button } from '../ui/button.tsx';
import { dismissNotice, noticeStore } from '../store/notices.ts';

/** Short messages at the foot of the window. */
export function Notices() {
  const notices = useStore(noticeStore, (state) => state.notices);
  return (
    <div
      aria-live="polite"
      className="fixed bottom-3 left-1/2 z-[60] grid w-[min(640px,94vw)] -translate-x-1/2 gap-2"
    >
      {notices.map((notice) => (
        <div
          key={notice.id}
          className={`flex items-center gap-3 rounded-[3px] border px-3 py-1.5 text-bench ${notice.tone === 'error' ? 'border-brick bg-brick-wash' : 'border-rope bg-linen'}`}
        >
          <span className="grow">{notice.text}</span>
          {notice.action && (
            <Button
              onClick={() => {
                notice.action?.run();
                dismissNotice(notice.id);
              }}
            >
              {notice.action.label}
            </Button>
          )}
          <Button
            tone="quiet"
            aria-label="Close message"
            onClick={() => {
              dismissNotice(notice.id);
            }}
          >
            ✕
          </Button>
        </div>
      ))}
    </div>
  );
}
